import { Measured } from "./Measured";

// A share, in per cent.
export function Percent({
  label,
  value,
  onKeep,
}: {
  label: string;
  value: number;
  onKeep: (share: number) => Promise<unknown>;
}) {
  return (
    <Measured
      label={label}
      value={Math.round(value * 1000) / 10}
      least={0}
      most={100}
      onKeep={(percent) => onKeep(percent / 100)}
    />
  );
}
