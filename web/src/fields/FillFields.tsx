import { Box } from "@mui/material";
import type { Fill } from "../api/types";
import { Colour } from "./Colour";
import { Percent } from "./Percent";

/** An area colour. */
export function FillFields({ fill, onSave }: { fill: Fill; onSave: (fill: Fill) => Promise<unknown> }) {
  return (
    <Box sx={{ display: "flex", gap: 1, alignItems: "flex-end" }}>
      <Colour label="Area colour" value={fill.colour} onSave={(colour) => onSave({ ...fill, colour })} />
      <Percent label="Opacity, %" value={fill.opacity ?? 1} onSave={(opacity) => onSave({ ...fill, opacity })} />
    </Box>
  );
}
