import ArrowDownIcon from "@mui/icons-material/ArrowDownwardOutlined";
import ArrowUpIcon from "@mui/icons-material/ArrowUpwardOutlined";
import LockIcon from "@mui/icons-material/LockOutlined";
import { Box, Checkbox, IconButton, Tooltip } from "@mui/material";
import { partsOf } from "../api/area";
import { useBook, useChangeState } from "../api/book";
import type { Book, Layer, LayerKind, RasterLook } from "../api/types";
import { count, ratio } from "../api/words";
import { defaults } from "../generated/defaults";
import { layerKinds } from "../generated/kinds";
import { sizeOf } from "../pixels/words";
import { Swatch } from "../symbols/Swatch";
import { t } from "../texts/t";

interface LayerRowProps {
  layer: Layer;
  // The layer that is in the hand.
  dragged: string | null;
  onDragged: (id: string | null) => void;
  // to: its place among the layers, the bottom one first.
  onReorder: (id: string, to: number) => void;
  onToggle: (id: string) => void;
  onPick: (id: string) => void;
}

/** One layer in the list: shown or not, its symbol, its place. */
export function LayerRow({ layer, dragged, onDragged, onReorder, onToggle, onPick }: LayerRowProps) {
  const book = useBook();
  const { pending } = useChangeState();
  const layers = book.document.layers;
  return (
    <Box
      draggable
      onDragStart={() => onDragged(layer.id)}
      onDragOver={(event) => {
        if (dragged) {
          event.preventDefault();
          event.stopPropagation();
        }
      }}
      onDrop={(event) => {
        if (!dragged) return;
        event.preventDefault();
        event.stopPropagation();
        onReorder(
          dragged,
          layers.findIndex((known) => known.id === layer.id),
        );
        onDragged(null);
      }}
      onDragEnd={() => onDragged(null)}
      sx={{
        display: "flex",
        alignItems: "center",
        gap: 0.5,
        py: 0.25,
        pl: layer.group ? 1.5 : 0,
        borderBottom: 1,
        borderColor: "divider",
        cursor: "grab",
        bgcolor: dragged === layer.id ? "thread.soft" : undefined,
      }}
    >
      <Checkbox
        size="small"
        checked={layer.visible}
        onChange={() => onToggle(layer.id)}
        disabled={pending}
        slotProps={{ input: { "aria-label": t("Show %{title}", { title: layer.title }) } }}
        sx={{ p: 0.5 }}
      />
      <Box sx={{ opacity: layer.visible ? 1 : 0.5, display: "flex" }}>
        {layer.raster ? (
          <Box
            sx={{
              width: 28,
              height: 20,
              flexShrink: 0,
              border: 1,
              borderColor: "divider",
              background: tints(layer.raster),
            }}
          />
        ) : (
          <Swatch svg={book.layers.find((known) => known.id === layer.id)?.swatches[0] ?? ""} />
        )}
      </Box>
      <Box sx={{ flex: 1, minWidth: 0 }}>
        <Box
          component="button"
          onClick={() => onPick(layer.id)}
          sx={{
            font: "inherit",
            fontSize: 14,
            border: 0,
            p: 0,
            minHeight: 24,
            bgcolor: "transparent",
            color: "text.primary",
            cursor: "pointer",
            display: "block",
            maxWidth: "100%",
            textAlign: "left",
            overflow: "hidden",
            textOverflow: "ellipsis",
            whiteSpace: "nowrap",
            "&:hover": { textDecoration: "underline" },
            "&:focus-visible": { outline: "2px solid", outlineColor: "primary.main" },
          }}
        >
          {layer.title}
        </Box>
        <Box sx={{ fontSize: 12, color: "text.secondary" }}>{describe(layer, book)}</Box>
      </Box>
      {layer.locked && <LockIcon titleAccess={t("locked")} sx={{ fontSize: 15, color: "text.secondary" }} />}
      <Tooltip title={t("Up")}>
        <span>
          <IconButton
            size="small"
            sx={{ p: 0.25 }}
            aria-label={t("Move %{title} up", { title: layer.title })}
            disabled={pending || layer === layers[layers.length - 1]}
            onClick={() => onReorder(layer.id, layers.indexOf(layer) + 1)}
          >
            <ArrowUpIcon sx={{ fontSize: 16 }} />
          </IconButton>
        </span>
      </Tooltip>
      <Tooltip title={t("Down")}>
        <span>
          <IconButton
            size="small"
            sx={{ p: 0.25 }}
            aria-label={t("Move %{title} down", { title: layer.title })}
            disabled={pending || layer === layers[0]}
            onClick={() => onReorder(layer.id, layers.indexOf(layer) - 1)}
          >
            <ArrowDownIcon sx={{ fontSize: 16 }} />
          </IconButton>
        </span>
      </Tooltip>
    </Box>
  );
}

// Colours that stand for a look.
function tints(look: RasterLook): string {
  const list =
    look.kind === "classes"
      ? look.classes.filter((entry) => !entry.hidden).map((entry) => entry.colour)
      : look.kind === "ramp"
        ? (look.tints ?? defaults.ramp_raster_look.tints)
        : look.kind === "shading"
          ? ["#ffffff", "#8a8a8a"]
          : ["#6f7f5a", "#b8a878", "#5e7488"];
  const shown = look.kind === "ramp" && look.reversed ? [...list].reverse() : list;
  return `linear-gradient(to right, ${[...shown, ...shown.slice(-1)].join(", ")})`;
}

const NOUNS = Object.fromEntries(layerKinds) as Record<LayerKind, string>;

function describe(layer: Layer, book: Book) {
  const info = book.layers.find((known) => known.id === layer.id);
  if (!info) return "";
  const area = partsOf(book.document.index.area).some((part) => part.layer === layer.id) ? t("study area") : null;
  const scales = layer.visible_scales;
  const range = scales
    ? [
        scales.largest && t("from %{largest}", { largest: ratio(scales.largest) }),
        scales.smallest && t("to %{smallest}", { smallest: ratio(scales.smallest) }),
      ]
        .filter(Boolean)
        .join(" ")
    : null;
  const what = layer.tiles
    ? t("background tiles")
    : info.kind === "pixels"
      ? info.pixels
        ? sizeOf(info.pixels.width, info.pixels.height, info.pixels.pixel_m)
        : t("no raster yet")
      : count(info.count, NOUNS[info.kind]);
  return [what, area, range].filter(Boolean).join(", ");
}
