import { TextField } from "@mui/material";
import { useState } from "react";
import { useTyped } from "./useTyped";

/** A field that keeps what was typed on Enter or when left, and says beside it what is wrong. */
export function Field({
  label,
  value,
  unit,
  multiline,
  placeholder,
  focused,
  aside,
  onSave,
}: {
  label: string;
  value: string;
  unit?: string;
  multiline?: boolean;
  placeholder?: string;
  // It takes what is typed at once, in place of what it says.
  focused?: boolean;
  // What is to be said of a text while it is typed, if anything.
  aside?: (text: string) => string | undefined;
  onSave: (text: string) => Promise<unknown>;
}) {
  const { text, setText, setSent, setFocused } = useTyped(value);
  const [problem, setProblem] = useState<string | null>(null);
  const keep = async () => {
    if (text === value) return setProblem(null);
    try {
      setSent(text);
      await onSave(text);
      setProblem(null);
    } catch (error) {
      setSent(null);
      setProblem((error as Error).message);
    }
  };
  return (
    <TextField
      fullWidth
      label={unit ? `${label}, ${unit}` : label}
      value={text}
      multiline={multiline}
      maxRows={4}
      margin={multiline ? "dense" : "none"}
      placeholder={placeholder}
      autoFocus={focused}
      onFocus={(event) => {
        setFocused(true);
        if (focused) event.target.select();
      }}
      error={!!problem}
      helperText={problem ?? (text === value ? undefined : aside?.(text))}
      onChange={(event) => setText(event.target.value)}
      onBlur={() => {
        setFocused(false);
        void keep();
      }}
      onKeyDown={(event) => {
        if (event.key === "Enter" && !event.shiftKey) {
          event.preventDefault();
          void keep();
        }
        if (event.key === "Escape") {
          setText(value);
          setProblem(null);
        }
      }}
      slotProps={{ inputLabel: placeholder ? { shrink: true } : undefined, formHelperText: { role: "alert" } }}
    />
  );
}
