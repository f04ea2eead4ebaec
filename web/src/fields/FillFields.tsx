import { Box } from "@mui/material";
import type { Fill } from "../api/types";
import { Colour } from "./Colour";
import { Percent } from "./Percent";

// An area colour.
export function FillFields({ fill, onKeep }: { fill: Fill; onKeep: (fill: Fill) => Promise<unknown> }) {
  return (
    <Box sx={{ display: "flex", gap: 1, alignItems: "flex-end" }}>
      <Colour label="Area colour" value={fill.colour} onKeep={(colour) => onKeep({ ...fill, colour })} />
      <Percent label="Opacity, %" value={fill.opacity ?? 1} onKeep={(opacity) => onKeep({ ...fill, opacity })} />
    </Box>
  );
}
