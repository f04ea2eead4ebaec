import { Box } from "@mui/material";
import type { Fill } from "../api/types";
import { Colour } from "./Colour";
import { Percent } from "./Percent";
import { t } from "../texts/t";

/** An area colour. */
export function FillFields({ fill, onSave }: { fill: Fill; onSave: (fill: Fill) => Promise<unknown> }) {
  return (
    <Box sx={{ display: "flex", gap: 1, alignItems: "flex-end" }}>
      <Colour label={t("Area colour")} value={fill.colour} onSave={(colour) => onSave({ ...fill, colour })} />
      <Percent label={t("Opacity, %")} value={fill.opacity ?? 1} onSave={(opacity) => onSave({ ...fill, opacity })} />
    </Box>
  );
}
