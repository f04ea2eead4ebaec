import { Field } from "./Field";
import { demanded, type Limits } from "./limits";
import { written } from "../numbers/written";
import { readAs } from "./readAs";
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
      aside={readAs}
      value={written(value)}
      onSave={async (text) => onSave(demanded(text, limits, unitOf(label)))}
    />
  );
}
