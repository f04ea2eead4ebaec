import { readNumber } from "../api/words";
import { Field } from "./Field";

// A number within limits.
export function Measured({
  label,
  value,
  least,
  most,
  onKeep,
}: {
  label: string;
  value: number;
  least: number;
  most: number;
  onKeep: (value: number) => Promise<unknown>;
}) {
  return (
    <Field
      label={label}
      value={String(value)}
      onKeep={async (text) => {
        const number = readNumber(text);
        if (number === null || number < least || number > most) throw new Error(`${least} to ${most}`);
        await onKeep(number);
      }}
    />
  );
}
