import { Measured } from "./Measured";

// A share, in per cent.
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
      least={0}
      most={100}
      onSave={(percent) => onSave(percent / 100)}
    />
  );
}
