import { Field } from "./Field";

interface NumberOrNoneProps {
  label: string;
  value: number | undefined;
  // What stands where it has none.
  placeholder: string;
  // Of the text: the number, or an Error that says what to enter.
  read: (text: string) => number;
  onSave: (value: number | undefined) => Promise<unknown>;
}

// A number that may be left to what is usual, or to what fits.
export function NumberOrNone({ label, value, placeholder, read, onSave }: NumberOrNoneProps) {
  return (
    <Field
      label={label}
      value={value === undefined ? "" : String(value)}
      placeholder={placeholder}
      onSave={(text) => onSave(text.trim() === "" ? undefined : read(text.trim()))}
    />
  );
}
