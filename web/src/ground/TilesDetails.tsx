import { Typography } from "@mui/material";
import { useBook } from "../api/book";
import type { Layer, PixelsInfo } from "../api/types";
import { ratio } from "../api/words";
import { Field } from "../fields/Field";
import { Heading } from "../frame/Card";
import { LookFields } from "../pixels/LookFields";
import { ppiAt } from "../pixels/words";
import { t } from "../texts/t";
import { rich } from "../texts/rich";

/** Where background tiles come from, what they come to on paper, and how they look. */
export function TilesDetails({
  layer,
  pixels,
  put,
}: {
  layer: Layer;
  pixels: PixelsInfo;
  put: (label: string, layer: Layer) => Promise<unknown>;
}) {
  const book = useBook();
  const tiles = layer.tiles!;
  const scale = book.document.index.scale;
  const resolution = book.document.resolution_ppi ?? 300;
  const own = Math.round(ppiAt(pixels.pixel_m, scale));
  return (
    <>
      <Typography sx={{ fontSize: 13, color: "text.secondary", mt: 1, overflowWrap: "anywhere" }}>
        {rich(
          t(
            "Tiles from <1/>, <2/>. Each sheet uses the zoom level that reaches <3/> ppi; the highest gives about <4/> ppi at <5/>.",
          ),
          { 1: tiles.url, 2: pixels.crs_name, 3: resolution, 4: own, 5: ratio(scale) },
        )}
      </Typography>
      <Field
        label={t("Attribution")}
        value={tiles.attribution}
        onSave={async (text) => {
          if (text.trim() === "") throw new Error(t("Enter whom to credit for the tiles."));
          await put(`Attribution of ${layer.title}`, { ...layer, tiles: { ...tiles, attribution: text.trim() } });
        }}
      />
      <Heading text={t("Appearance")} />
      <LookFields layer={layer} pixels={pixels} put={put} />
    </>
  );
}
