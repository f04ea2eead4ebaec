import { Typography } from "@mui/material";
import { useBook } from "../api/book";
import type { Layer, PixelsInfo } from "../api/types";
import { ratio } from "../api/words";
import { Field } from "../fields/Field";
import { Heading } from "../frame/Card";
import { LookFields } from "../pixels/LookFields";
import { ppiAt } from "../pixels/words";

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
        Tiles from {tiles.url}, {pixels.crs_name}. Each sheet takes the zoom whose pixels meet {resolution} ppi; the
        largest comes to about {own} ppi at {ratio(scale)}.
      </Typography>
      <Field
        label="Attribution"
        value={tiles.attribution}
        onSave={async (text) => {
          if (text.trim() === "") throw new Error("Enter whom to credit for the tiles.");
          await put(`Attribution of ${layer.title}`, { ...layer, tiles: { ...tiles, attribution: text.trim() } });
        }}
      />
      <Heading text="Look" />
      <LookFields layer={layer} pixels={pixels} put={put} />
    </>
  );
}
