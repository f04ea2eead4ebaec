import { Box } from "@mui/material";
import type { ArrivedLayer } from "../api/types";
import { Choice } from "../fields/Choice";
import type { PixelsInfo } from "../api/types";
import { choices } from "../generated/choices";
import { plain, sizeOf } from "./words";
import { t } from "../texts/t";
import { rich } from "../texts/rich";

const MOST_CLASSES = 12;

/**
 * What is in a file of pixels, with a small picture, before any of it is kept. takenAs: what its numbers are to be.
 */
export function ArrivedPixelsFacts({
  layer,
  takenAs,
  onTakenAs,
}: {
  layer: ArrivedLayer;
  takenAs: PixelsInfo["kind"];
  onTakenAs: (kind: PixelsInfo["kind"]) => void;
}) {
  const pixels = layer.pixels!;
  const rows: [string, string | null][] = [
    [
      "Kind",
      pixels.files ? t("%{files} files, %{format}", { files: pixels.files, format: pixels.format }) : pixels.format,
    ],
    ["Size", sizeOf(pixels.width, pixels.height, pixels.pixel_m)],
    ["Bands", `${pixels.bands}, ${pixels.type}`],
    ["CRS", layer.reference_name ?? t("not stated")],
    [
      "Place",
      !pixels.located
        ? t("not stated")
        : pixels.control_points > 0 && !pixels.pixel
          ? t("fitted by %{control_points} control points", { control_points: pixels.control_points })
          : null,
    ],
    [
      "Empty",
      pixels.masked
        ? t("by a mask")
        : pixels.nodata === null
          ? null
          : t("where it is %{nodata}", { nodata: pixels.nodata }),
    ],
    ["Unit", pixels.unit],
    ...pixels.statistics.map((known, index): [string, string | null] => [
      pixels.statistics.length > 1 ? t("Band %{value}", { value: index + 1 }) : "Values",
      known &&
        t("%{value}%{lowest} to %{highest}, mean %{mean}", {
          value: pixels.about ? "about " : "",
          lowest: plain(known.lowest),
          highest: plain(known.highest),
          mean: plain(known.mean),
        }),
    ]),
  ];
  return (
    <Box sx={{ mt: 0.5 }}>
      {pixels.small && (
        <Box
          component="img"
          src={pixels.small}
          alt={t("Preview of %{title}", { title: layer.title })}
          sx={{
            width: "100%",
            maxHeight: 190,
            objectFit: "contain",
            bgcolor: "#f3eee2",
            border: 1,
            borderColor: "divider",
          }}
        />
      )}
      <Box
        component="dl"
        sx={{
          fontSize: 13,
          color: "text.secondary",
          my: 0.5,
          "& dt": { float: "left", clear: "left", mr: 0.75, fontWeight: 600 },
          "& dd": { m: 0 },
        }}
      >
        {rows.flatMap(([name, text]) => (text ? [<dt key={name}>{name}</dt>, <dd key={`${name}-`}>{text}</dd>] : []))}
      </Box>
      {!pixels.located && (
        <Box role="alert" sx={{ fontSize: 13, color: "error.main", fontWeight: 600 }}>
          {t("The file does not say where it is. Import it together with its world file.")}
        </Box>
      )}
      {pixels.classes.length > 0 && (
        <Box sx={{ display: "flex", flexWrap: "wrap", columnGap: 1.5, fontSize: 13, mb: 1 }}>
          {pixels.classes.slice(0, MOST_CLASSES).map((entry) => (
            <Box key={entry.value} sx={{ display: "flex", alignItems: "center", gap: 0.5 }}>
              {entry.colour && (
                <Box sx={{ width: 14, height: 12, bgcolor: entry.colour, border: 1, borderColor: "divider" }} />
              )}
              {entry.value} {entry.title}
            </Box>
          ))}
          {pixels.classes.length > MOST_CLASSES && (
            <span>{rich(t("and <1/> more"), { 1: pixels.classes.length - MOST_CLASSES })}</span>
          )}
        </Box>
      )}
      <Box sx={{ mt: 1 }}>
        <Choice
          label={t("Read as")}
          value={takenAs}
          choices={choices.layer_data.taken_as}
          onChoose={async (kind) => onTakenAs(kind)}
        />
      </Box>
    </Box>
  );
}
