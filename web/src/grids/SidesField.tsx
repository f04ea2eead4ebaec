import { Box, Checkbox, FormControlLabel } from "@mui/material";
import type { Edge } from "../api/types";
import { toldElsewhere } from "../api/toldElsewhere";
import { t } from "../texts/t";

const SIDES: Edge[] = ["top", "right", "bottom", "left"];

/** The sides of the frame that a grid is labelled on. */
export function SidesField({
  sides: shown,
  onSave,
}: {
  sides: readonly Edge[];
  onSave: (sides: Edge[]) => Promise<unknown>;
}) {
  return (
    <Box role="group" aria-label={t("Labelled sides")} sx={{ display: "grid", gridTemplateColumns: "1fr 1fr" }}>
      {SIDES.map((side) => (
        <FormControlLabel
          key={side}
          control={
            <Checkbox
              size="small"
              checked={shown.includes(side)}
              onChange={(event) =>
                void onSave(
                  SIDES.filter((known) => (known === side ? event.target.checked : shown.includes(known))),
                ).catch(toldElsewhere)
              }
              sx={{ py: 0.5 }}
            />
          }
          label={side}
        />
      ))}
    </Box>
  );
}
