import { MenuItem, TextField } from "@mui/material";

// One of several values, each with its title.
export function Choice<V extends string>({
  label,
  value,
  choices,
  onChoose,
}: {
  label: string;
  value: NoInfer<V>;
  choices: readonly (readonly [V, string])[];
  onChoose: (value: V) => Promise<unknown>;
}) {
  return (
    <TextField select label={label} value={value} onChange={(event) => void onChoose(event.target.value as V)}>
      {choices.map(([known, title]) => (
        <MenuItem key={known} value={known}>
          {title}
        </MenuItem>
      ))}
    </TextField>
  );
}
