import { Box, Button } from "@mui/material";
import type { Grid } from "../api/types";
import { useGridTrial } from "./useGrids";
import { NARROWEST, WIDEST } from "./IntervalFields";
import { t } from "../texts/t";
import { rich } from "../texts/rich";

/** The fixed interval does not fit the reference that was chosen: lengths are not degrees. */
export function Question({
  grid,
  was,
  sheet,
  frame,
  pitch,
  onSave,
  onDrop,
}: {
  grid: Grid;
  was: Grid;
  sheet: number;
  // Id of the frame that carries it.
  frame: string;
  pitch: number | undefined;
  onSave: (grid: Grid) => void;
  onDrop: () => void;
}) {
  const automatic: Grid = {
    ...grid,
    interval: undefined,
    origin: undefined,
    target_mm: pitch ? Math.min(Math.max(pitch, NARROWEST), WIDEST) : grid.target_mm,
  };
  const trial = useGridTrial(sheet, frame, automatic);
  const near = trial?.data?.interval;
  return (
    <Box
      role="alertdialog"
      aria-label={t("Which interval?")}
      sx={{ mt: 1, p: 1, border: 1, borderColor: "warning.main", fontSize: 13.5 }}
    >
      {rich(t("<1/> does not fit this CRS. Choose an interval:<2/>"), {
        1: was.interval?.x ?? was.interval?.y,
        2: (
          <Box sx={{ display: "flex", flexWrap: "wrap", gap: 0.5, mt: 0.5 }}>
            {near && (
              <Button variant="outlined" onClick={() => onSave({ ...grid, interval: near, origin: undefined })}>
                {rich(t("<1/>, about as far apart"), { 1: near.x === near.y ? near.x : `${near.x}, ${near.y}` })}
              </Button>
            )}
            <Button variant="outlined" onClick={() => onSave(automatic)}>
              {t("An automatic one")}
            </Button>
            <Button onClick={onDrop}>{t("Cancel")}</Button>
          </Box>
        ),
      })}
    </Box>
  );
}
