import { Field } from "./Field";
import { demanded, type Limits } from "./limits";
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
    <Field label={label} value={String(value)} onSave={async (text) => onSave(demanded(text, limits, unitOf(label)))} />
  );
}
