import { Box } from "@mui/material";
import type { Layer, PixelsInfo, RasterLook } from "../api/types";
import { Choice } from "../fields/Choice";
import { SETS, colours } from "../fields/palettes";
import { rasterLooks } from "../generated/kinds";
import { ClassesFields } from "./ClassesFields";
import { PictureFields } from "./PictureFields";
import { RampFields } from "./RampFields";
import { ShadingFields } from "./ShadingFields";
import { choices } from "../generated/choices";
import { t } from "../texts/t";

// Classes for a raster that is to have some: its own, or five ranges between its ends.
function firstClasses(pixels: PixelsInfo) {
  if (pixels.classes.length > 0) {
    const made = colours(SETS[4]!, pixels.classes.length);
    return pixels.classes.map((entry, index) => ({
      value: entry.value,
      title: entry.title ?? String(entry.value),
      colour: entry.colour ?? made[index]!,
    }));
  }
  const [low, high] = pixels.ends[0] ?? [0, 1];
  const step = (high - low) / 5 || 1;
  const round = (number: number) => Math.round(number * 100) / 100;
  return colours("YlGn", 5).map((colour, index) => {
    const [from, to] = [round(low + index * step), round(low + (index + 1) * step)];
    return {
      ...(index === 0 ? {} : { from }),
      ...(index === 4 ? {} : { to }),
      title: index === 0 ? t("below %{to}", { to }) : index === 4 ? t("%{from} and more", { from }) : `${from}–${to}`,
      colour,
    };
  });
}

/** How the pixels of a layer are shown. */
export function LookFields({
  layer,
  pixels,
  put,
}: {
  layer: Layer;
  pixels: PixelsInfo;
  put: (label: string, layer: Layer) => Promise<unknown>;
}) {
  const look = layer.raster!;
  const keep = (label: string, fresh: RasterLook) => put(`${label} of ${layer.title}`, { ...layer, raster: fresh });
  const start = (kind: RasterLook["kind"]): RasterLook =>
    kind === "classes" ? { kind, classes: firstClasses(pixels) } : { kind };
  return (
    <Box sx={{ display: "grid", gap: 1 }}>
      <Choice
        label={t("Shown as")}
        value={look.kind}
        choices={rasterLooks.filter(([kind]) => pixels.bands < 3 || kind === "picture")}
        onChoose={(kind) => (kind === look.kind ? Promise.resolve() : keep("Look", start(kind)))}
      />
      {look.kind === "picture" && <PictureFields look={look} pixels={pixels} onSave={keep} />}
      {look.kind === "classes" && <ClassesFields look={look} pixels={pixels} onSave={keep} />}
      {look.kind === "ramp" && <RampFields look={look} pixels={pixels} onSave={keep} />}
      {look.kind === "shading" && <ShadingFields look={look} onSave={keep} />}
      <Choice
        label={t("Blending")}
        value={layer.blend ?? "normal"}
        choices={choices.layer.blend}
        onChoose={(blend) => put(`Blend of ${layer.title}`, { ...layer, blend })}
      />
    </Box>
  );
}
