import { Checkbox, FormControlLabel } from "@mui/material";
import { toldElsewhere } from "../api/toldElsewhere";

/** Something that is so, or not. */
export function Flag({
  label,
  value,
  disabled,
  onSave,
}: {
  label: string;
  value: boolean;
  disabled?: boolean;
  onSave: (value: boolean) => Promise<unknown>;
}) {
  return (
    <FormControlLabel
      sx={{ gridColumn: "1 / -1" }}
      disabled={disabled}
      control={
        <Checkbox
          size="small"
          checked={value}
          onChange={(event) => void onSave(event.target.checked).catch(toldElsewhere)}
          sx={{ py: 0.5 }}
        />
      }
      label={label}
    />
  );
}
