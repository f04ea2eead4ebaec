import { MenuItem, TextField } from "@mui/material";

/**
 * One of several values, each with its title. wide: in a row of its own where fields stand two in a row, as its titles
 * are long.
 */
export function Choice<V extends string>({
  label,
  value,
  choices,
  wide = false,
  onChoose,
}: {
  label: string;
  value: NoInfer<V>;
  choices: readonly (readonly [V, string])[];
  wide?: boolean;
  onChoose: (value: V) => Promise<unknown>;
}) {
  return (
    <TextField
      select
      label={label}
      value={value}
      // A choice of none has a title too.
      slotProps={
        choices.some(([known]) => known === "")
          ? { select: { displayEmpty: true }, inputLabel: { shrink: true } }
          : undefined
      }
      sx={wide ? { gridColumn: "1 / -1" } : undefined}
      onChange={(event) => void onChoose(event.target.value as V)}
    >
      {choices.map(([known, title]) => (
        <MenuItem key={known} value={known}>
          {title}
        </MenuItem>
      ))}
    </TextField>
  );
}
