import { Field } from "./Field";

// A whole number, or none of its own.
export function WholeNumber({
  label,
  value,
  placeholder = "as fits",
  onKeep,
}: {
  label: string;
  value: number | undefined;
  // What stands where it has none.
  placeholder?: string;
  onKeep: (value: number | undefined) => Promise<unknown>;
}) {
  return (
    <Field
      label={label}
      value={value === undefined ? "" : String(value)}
      placeholder={placeholder}
      onKeep={(text) => {
        const number = Number(text.trim());
        if (text.trim() !== "" && !Number.isInteger(number)) throw new Error("Write a whole number.");
        return onKeep(text.trim() === "" ? undefined : number);
      }}
    />
  );
}
