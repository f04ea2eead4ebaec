import { Measured } from "./Measured";
import { percentage } from "./limits";

/** A share, in per cent. */
export function Percent({
  label,
  value,
  onSave,
}: {
  label: string;
  value: number;
  onSave: (share: number) => Promise<unknown>;
}) {
  return (
    <Measured
      label={label}
      value={Math.round(value * 1000) / 10}
      limits={percentage}
      onSave={(percent) => onSave(percent / 100)}
    />
  );
}
