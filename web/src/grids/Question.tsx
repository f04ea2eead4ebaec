import { Box, Button } from "@mui/material";
import type { Grid } from "../api/types";
import { useGridTrial } from "./useGrids";
import { NARROWEST, WIDEST } from "./IntervalFields";

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
      aria-label="Which interval?"
      sx={{ mt: 1, p: 1, border: 1, borderColor: "warning.main", fontSize: 13.5 }}
    >
      {was.interval?.x ?? was.interval?.y} does not fit this CRS. Choose an interval:
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 0.5, mt: 0.5 }}>
        {near && (
          <Button variant="outlined" onClick={() => onSave({ ...grid, interval: near, origin: undefined })}>
            {near.x === near.y ? near.x : `${near.x}, ${near.y}`}, about as far apart
          </Button>
        )}
        <Button variant="outlined" onClick={() => onSave(automatic)}>
          An automatic one
        </Button>
        <Button onClick={onDrop}>Cancel</Button>
      </Box>
    </Box>
  );
}
