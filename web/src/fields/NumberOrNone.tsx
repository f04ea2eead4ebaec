import { readNumber } from "../api/words";
import { Field } from "./Field";
import { asked, within, type Limits } from "./limits";
import { unitOf } from "./unitOf";

interface NumberOrNoneProps {
  label: string;
  value: number | undefined;
  // What stands where it has none.
  placeholder: string;
  limits: Limits;
  onSave: (value: number | undefined) => Promise<unknown>;
}

/** A number within limits that may be left to what is usual, or to what fits: then the field is empty. */
export function NumberOrNone({ label, value, placeholder, limits, onSave }: NumberOrNoneProps) {
  return (
    <Field
      label={label}
      value={value === undefined ? "" : String(value)}
      placeholder={placeholder}
      onSave={async (text) => {
        if (text.trim() === "") return onSave(undefined);
        const number = readNumber(text);
        if (number === null || !within(number, limits)) throw new Error(asked(limits, unitOf(label)));
        return onSave(number);
      }}
    />
  );
}
