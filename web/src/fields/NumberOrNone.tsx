import { Field } from "./Field";
import { demanded, type Limits } from "./limits";
import { written } from "../numbers/written";
import { readAs } from "./readAs";
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
      aside={readAs}
      value={value === undefined ? "" : written(value)}
      placeholder={placeholder}
      onSave={async (text) => onSave(text.trim() === "" ? undefined : demanded(text, limits, unitOf(label)))}
    />
  );
}
