import { readNumber } from "../api/words";
import { Field } from "./Field";
import { asked, within, type Limits } from "./limits";
import { unitOf } from "./unitOf";

/** A number within limits. */
export function Measured({
  label,
  value,
  limits,
  onSave,
}: {
  label: string;
  value: number;
  limits: Limits;
  onSave: (value: number) => Promise<unknown>;
}) {
  return (
    <Field
      label={label}
      value={String(value)}
      onSave={async (text) => {
        const number = readNumber(text);
        if (number === null || !within(number, limits)) throw new Error(asked(limits, unitOf(label)));
        await onSave(number);
      }}
    />
  );
}
