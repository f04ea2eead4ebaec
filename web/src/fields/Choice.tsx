import { MenuItem, TextField } from "@mui/material";

// One of several values, each with its title.
export function Choice({
  label,
  value,
  choices,
  onChoose,
}: {
  label: string;
  value: string;
  choices: readonly (readonly [string, string])[];
  onChoose: (value: string) => Promise<unknown>;
}) {
  return (
    <TextField select label={label} value={value} onChange={(event) => void onChoose(event.target.value)}>
      {choices.map(([known, title]) => (
        <MenuItem key={known} value={known}>
          {title}
        </MenuItem>
      ))}
    </TextField>
  );
}
