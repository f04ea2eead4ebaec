import { Typography } from "@mui/material";
import { useBook, useChange } from "../api/book";
import { post } from "../api/client";
import type { Layer, LayerInfo } from "../api/types";
import { ratio } from "../api/words";
import { Measured } from "../fields/Measured";
import { Heading } from "../frame/Card";
import { ContoursForm } from "../pixels/ContoursForm";
import { LookFields } from "../pixels/LookFields";
import { ppiAt, sizeOf } from "../pixels/words";
import { TilesDetails } from "./TilesDetails";
import type { Arrivals } from "./arrivals";
import { limits } from "../generated/limits";
import { t } from "../texts/t";

/** What is particular to a layer of pixels: its look, what it comes to on paper, contours from its heights. */
export function PixelDetails({
  layer,
  info,
  arrivals,
  put,
}: {
  layer: Layer;
  info: LayerInfo | undefined;
  arrivals: Arrivals;
  put: (label: string, layer: Layer) => Promise<unknown>;
}) {
  const book = useBook();
  const { change } = useChange();
  const pixels = info?.pixels;
  if (!pixels)
    return (
      <Typography role="status" sx={{ fontSize: 14, mt: 1 }}>
        {t("The raster file of this layer is missing. Update the layer from its file.")}
      </Typography>
    );
  if (layer.tiles) return <TilesDetails layer={layer} pixels={pixels} put={put} />;
  const scale = book.document.index.scale;
  const resolution = book.document.resolution_ppi ?? 300;
  const own = Math.round(ppiAt(pixels.pixel_m, scale));
  return (
    <>
      <Typography sx={{ fontSize: 13, color: "text.secondary", mt: 1 }}>
        {sizeOf(pixels.width, pixels.height, pixels.pixel_m)}, {pixels.crs_name}.{" "}
        {own < resolution
          ? t("Effective %{own} ppi at %{scale}, fewer than the book’s %{resolution}.", {
              own,
              scale: ratio(scale),
              resolution,
            })
          : t("%{own} ppi at %{scale}, drawn with the book’s %{resolution}.", { own, scale: ratio(scale), resolution })}
      </Typography>
      <Measured
        label={t("The book’s resolution, ppi")}
        value={resolution}
        limits={limits.book.resolution_ppi}
        onSave={(ppi) => change("Resolution", { resolution_ppi: Math.round(ppi) })}
      />
      <Heading text={t("Appearance")} />
      <LookFields layer={layer} pixels={pixels} put={put} />
      {pixels.kind === "values" && (
        <>
          <Heading text={t("Contours")} />
          <ContoursForm
            unit={pixels.unit ?? "m"}
            onTrace={(wanted) =>
              post(`/api/books/${book.id}/layers/${layer.id}/contours`, wanted).finally(arrivals.again)
            }
          />
        </>
      )}
    </>
  );
}
