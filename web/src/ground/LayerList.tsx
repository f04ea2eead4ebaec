import ArrowDownIcon from "@mui/icons-material/ArrowDownwardOutlined";
import ArrowUpIcon from "@mui/icons-material/ArrowUpwardOutlined";
import LockIcon from "@mui/icons-material/LockOutlined";
import { Box, Button, Checkbox, IconButton, Tooltip } from "@mui/material";
import { useRef, useState } from "react";
import { useBook, useChange } from "../api/book";
import type { Book, Layer } from "../api/types";
import { count, ratio } from "../api/words";
import { Card } from "../frame/Card";
import { partsOf } from "../api/area";
import type { Arrivals } from "./arrivals";
import { Swatch } from "./Swatch";
import { FileInput } from "../fields/FileInput";
import { dataEndings } from "../generated/kinds";

// All layers, the top one first, with their groups as headings.
export function LayerList({ arrivals, onPick }: { arrivals: Arrivals; onPick: (id: string) => void }) {
  const book = useBook();
  const { change, pending } = useChange();
  const input = useRef<HTMLInputElement>(null);
  const [dragged, setDragged] = useState<string | null>(null);
  const layers = book.document.layers;
  // The list shows the top layer first; the document holds the bottom one first.
  const shown = [...layers].reverse();
  const keep = (label: string, fresh: Layer[]) => void change(label, { layers: fresh }).catch(() => undefined);
  const reorder = (id: string, to: number) => {
    const from = layers.findIndex((layer) => layer.id === id);
    const place = Math.min(Math.max(to, 0), layers.length - 1);
    if (from === place || from < 0) return;
    const moved = [...layers];
    const [layer] = moved.splice(from, 1);
    moved.splice(place, 0, layer!);
    keep(`Order of ${layer!.title}`, moved);
  };
  const toggle = (id: string) => {
    const layer = layers.find((known) => known.id === id)!;
    keep(
      `${layer.visible ? "Hide" : "Show"} ${layer.title}`,
      layers.map((known) => (known.id === id ? { ...known, visible: !known.visible } : known)),
    );
  };
  const toggleGroup = (group: string, visible: boolean) =>
    keep(
      `${visible ? "Show" : "Hide"} ${group}`,
      layers.map((known) => (known.group === group ? { ...known, visible } : known)),
    );
  return (
    <Card title="Layers" note="top first">
      <FileInput
        ref={input}
        label="Data files"
        accept={dataEndings.join(",")}
        multiple
        onFiles={(files) => arrivals.take(files)}
      />
      <Button
        variant="outlined"
        fullWidth
        sx={{ mb: 1 }}
        disabled={arrivals.sending}
        onClick={() => input.current?.click()}
      >
        {arrivals.sending ? "Sending…" : "Import data"}
      </Button>
      <Box component="ul" sx={{ m: 0, p: 0, listStyle: "none" }}>
        {shown.map((layer, index) => {
          const opens = layer.group && layer.group !== shown[index - 1]?.group;
          const members = layers.filter((known) => known.group === layer.group);
          return (
            <Box component="li" key={layer.id}>
              {opens && (
                <Box sx={{ display: "flex", alignItems: "center", gap: 0.5, pt: 0.75, fontSize: 13, fontWeight: 700 }}>
                  <Checkbox
                    size="small"
                    sx={{ p: 0.5 }}
                    checked={members.every((known) => known.visible)}
                    indeterminate={members.some((known) => known.visible) && !members.every((known) => known.visible)}
                    disabled={pending}
                    onChange={(event) => toggleGroup(layer.group!, event.target.checked)}
                    slotProps={{ input: { "aria-label": `Show the group ${layer.group}` } }}
                  />
                  {layer.group}
                </Box>
              )}
              <Box
                draggable
                onDragStart={() => setDragged(layer.id)}
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
                  reorder(
                    dragged,
                    layers.findIndex((known) => known.id === layer.id),
                  );
                  setDragged(null);
                }}
                onDragEnd={() => setDragged(null)}
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
                  onChange={() => toggle(layer.id)}
                  disabled={pending}
                  slotProps={{ input: { "aria-label": `Show ${layer.title}` } }}
                  sx={{ p: 0.5 }}
                />
                <Box sx={{ opacity: layer.visible ? 1 : 0.5, display: "flex" }}>
                  <Swatch svg={book.layers.find((known) => known.id === layer.id)?.swatches[0] ?? ""} />
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
                {layer.locked && <LockIcon titleAccess="locked" sx={{ fontSize: 15, color: "text.secondary" }} />}
                <Tooltip title="Up">
                  <span>
                    <IconButton
                      size="small"
                      sx={{ p: 0.25 }}
                      aria-label={`Move ${layer.title} up`}
                      disabled={pending || layer === shown[0]}
                      onClick={() => reorder(layer.id, layers.indexOf(layer) + 1)}
                    >
                      <ArrowUpIcon sx={{ fontSize: 16 }} />
                    </IconButton>
                  </span>
                </Tooltip>
                <Tooltip title="Down">
                  <span>
                    <IconButton
                      size="small"
                      sx={{ p: 0.25 }}
                      aria-label={`Move ${layer.title} down`}
                      disabled={pending || layer === layers[0]}
                      onClick={() => reorder(layer.id, layers.indexOf(layer) - 1)}
                    >
                      <ArrowDownIcon sx={{ fontSize: 16 }} />
                    </IconButton>
                  </span>
                </Tooltip>
              </Box>
            </Box>
          );
        })}
      </Box>
      <Box sx={{ fontSize: 12.5, color: "text.secondary", mt: 1 }}>
        or drop files on the map: GeoJSON, TopoJSON, GeoPackage, zipped Shapefile, KML, GML, FlatGeobuf, GPX, DXF, CSV.
        You see what is in them before anything is saved.
      </Box>
      <Button href={`/api/books/${book.id}/file`} fullWidth sx={{ mt: 2 }}>
        Export the book as one file
      </Button>
    </Card>
  );
}

const NOUNS = { point: "point", line: "line", area: "area", mixed: "shape" };

function describe(layer: Layer, book: Book) {
  const info = book.layers.find((known) => known.id === layer.id);
  if (!info) return "";
  const area = partsOf(book.document.index.area).some((part) => part.layer === layer.id) ? "study area" : null;
  const scales = layer.visible_scales;
  const range = scales
    ? [scales.largest && `from ${ratio(scales.largest)}`, scales.smallest && `to ${ratio(scales.smallest)}`]
        .filter(Boolean)
        .join(" ")
    : null;
  return [count(info.count, NOUNS[info.kind]), area, range].filter(Boolean).join(", ");
}
