import { Field } from "./Field";

// A size of type, or none of its own.
export function Points({
  label,
  value,
  placeholder,
  onKeep,
}: {
  label: string;
  value: number | undefined;
  // What stands where it has none.
  placeholder: string;
  onKeep: (value: number | undefined) => Promise<unknown>;
}) {
  return (
    <Field
      label={label}
      value={value === undefined ? "" : String(value)}
      placeholder={placeholder}
      onKeep={(text) => {
        const size = Number(text.trim().replace(",", "."));
        if (text.trim() !== "" && !(size > 0 && size <= 1000))
          throw new Error("Enter a size up to 1000 pt, such as 6.");
        return onKeep(text.trim() === "" ? undefined : size);
      }}
    />
  );
}
