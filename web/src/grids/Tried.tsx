import { Box } from "@mui/material";
import { Field } from "../fields/Field";

/** A field whose text is tried while it is typed. */
export function Tried({
  label,
  value,
  placeholder,
  onTry,
  onSave,
}: {
  label: string;
  value: string;
  placeholder?: string;
  onTry: (text: string | null) => void;
  onSave: (text: string) => Promise<unknown>;
}) {
  return (
    <Box
      onInput={(event) => onTry((event.target as HTMLInputElement).value)}
      onBlur={() => onTry(null)}
      onKeyDown={(event) => {
        if (event.key === "Escape") onTry(null);
      }}
    >
      <Field label={label} value={value} placeholder={placeholder} onSave={onSave} />
    </Box>
  );
}
