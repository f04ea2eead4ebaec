import { TextField } from "@mui/material";
import { useEffect, useState } from "react";

// A field that keeps what was typed on Enter or when left, and says beside it what is wrong.
export function Field({
  label,
  value,
  unit,
  multiline,
  placeholder,
  focused,
  onKeep,
}: {
  label: string;
  value: string;
  unit?: string;
  multiline?: boolean;
  placeholder?: string;
  // It takes what is typed at once, in place of what it says.
  focused?: boolean;
  onKeep: (text: string) => Promise<unknown>;
}) {
  const [text, setText] = useState(value);
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(() => setText(value), [value]);
  const keep = async () => {
    if (text === value) return setProblem(null);
    try {
      await onKeep(text);
      setProblem(null);
    } catch (error) {
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
      onFocus={focused ? (event) => event.target.select() : undefined}
      error={!!problem}
      helperText={problem}
      onChange={(event) => setText(event.target.value)}
      onBlur={() => void keep()}
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
