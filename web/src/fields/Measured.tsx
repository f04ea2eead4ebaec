import { readNumber } from "../api/words";
import { Field } from "./Field";

// "Width, mm" → " mm"
const unitOf = (label: string) => {
  const unit = label.split(",")[1]?.trim() ?? "";
  return unit === "" ? "" : unit.startsWith("°") ? "°" : ` ${unit.split(" ")[0]}`;
};

// A number within limits.
export function Measured({
  label,
  value,
  least,
  most,
  onSave,
}: {
  label: string;
  value: number;
  least: number;
  most: number;
  onSave: (value: number) => Promise<unknown>;
}) {
  return (
    <Field
      label={label}
      value={String(value)}
      onSave={async (text) => {
        const number = readNumber(text);
        if (number === null || number < least || number > most)
          throw new Error(`Enter a value from ${least} to ${most}${unitOf(label)}.`);
        await onSave(number);
      }}
    />
  );
}
