import { Box, Button, InputAdornment, TextField } from "@mui/material";
import { useState, type ReactNode } from "react";
import { Value } from "./Value";
import { t } from "../texts/t";

interface EntryProps<T> {
  label: string;
  shown: string;
  text: string;
  unit?: string;
  // Text → value, or null with what to write instead.
  read: (text: string) => T | null;
  expected: string;
  onTry?: (value: T | null) => void;
  onSave: (value: T) => Promise<unknown>;
  // What the value that is being typed would come to.
  foretold?: ReactNode;
  problem?: string | null;
}

/** A value that is typed: what it comes to shows while typing, Enter keeps it, Esc drops it. */
export function EntryValue<T>({
  label,
  shown,
  text,
  unit,
  read,
  expected,
  onTry,
  onSave,
  foretold,
  problem,
}: EntryProps<T>) {
  const [draft, setDraft] = useState(text);
  const [refused, setRefused] = useState<string | null>(null);
  const value = read(draft);
  const trying = (typed: string) => {
    setDraft(typed);
    setRefused(null);
    onTry?.(read(typed));
  };
  const keep = async (close: () => void) => {
    if (value === null) return setRefused(expected);
    try {
      if (draft !== text) await onSave(value);
      close();
    } catch (error) {
      setRefused((error as Error).message);
    }
  };
  const said = refused ?? (value === null ? expected : problem);
  return (
    <Value
      label={label}
      shown={shown}
      onOpen={() => {
        setDraft(text);
        setRefused(null);
      }}
      onClose={() => onTry?.(null)}
    >
      {(close) => (
        <Box
          component="form"
          onSubmit={(event) => {
            event.preventDefault();
            void keep(close);
          }}
          sx={{ px: 2, pb: 1.5, pt: 0.5, width: 320 }}
        >
          <TextField
            autoFocus
            fullWidth
            value={draft}
            onChange={(event) => trying(event.target.value)}
            onFocus={(event) => event.target.select()}
            error={!!said}
            helperText={said ?? foretold ?? " "}
            slotProps={{
              htmlInput: { "aria-label": label, autoComplete: "off" },
              input: unit ? { endAdornment: <InputAdornment position="end">{unit}</InputAdornment> } : undefined,
              formHelperText: { role: said ? "alert" : "status" },
            }}
          />
          <Box sx={{ display: "flex", gap: 1, justifyContent: "flex-end", mt: 1 }}>
            <Button onClick={close} color="inherit">
              {t("Cancel")}
            </Button>
            <Button type="submit" variant="contained">
              {t("Apply")}
            </Button>
          </Box>
        </Box>
      )}
    </Value>
  );
}
