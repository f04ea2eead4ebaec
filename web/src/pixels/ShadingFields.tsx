import { Box } from "@mui/material";
import type { RasterLook, Relief } from "../api/types";
import { Flag } from "../fields/Flag";
import { Measured } from "../fields/Measured";
import { ReliefFields } from "./ReliefFields";
import { limits } from "../generated/limits";
import { t } from "../texts/t";

type Look = Extract<RasterLook, { kind: "shading" }>;

/** How heights are shaded: the lights, the exaggeration, the strength. */
export function ShadingFields({
  look,
  onSave,
}: {
  look: Look;
  onSave: (label: string, look: RasterLook) => Promise<unknown>;
}) {
  const { lights, exaggeration, heights_in, ...rest } = look;
  const relief: Relief = Object.fromEntries(
    Object.entries({ lights, exaggeration, heights_in }).filter(([, value]) => value !== undefined),
  );
  return (
    <Box sx={{ display: "grid", gap: 1 }}>
      <ReliefFields relief={relief} onSave={(fresh) => onSave("Shading", { ...rest, ...fresh })} />
      <Measured
        label={t("Opacity of the shades, %")}
        value={look.strength ?? 100}
        limits={limits.shading_raster_look.strength}
        onSave={(strength) => onSave("Opacity of the shades", { ...look, strength })}
      />
      <Flag
        label={t("Listed in legends")}
        value={look.legend ?? false}
        onSave={(legend) => onSave("Shading in legends", { ...look, legend })}
      />
    </Box>
  );
}
