import ArrowDownIcon from "@mui/icons-material/ArrowDownwardOutlined";
import ArrowUpIcon from "@mui/icons-material/ArrowUpwardOutlined";
import WarningIcon from "@mui/icons-material/WarningAmberOutlined";
import { Box, Button, Checkbox, IconButton, Tooltip } from "@mui/material";
import { useMemo, useRef, useState, type DragEvent } from "react";
import { useBook, useChange } from "../api/book";
import type { Book, Layer } from "../api/types";
import { count, groundSize } from "../api/words";
import { Card } from "../frame/Card";
import { Notice } from "../frame/Notice";
import { GroundMap } from "../map/GroundMap";
import { Statement } from "../statement/Statement";
import { EntryValue } from "../statement/EntryValue";
import { ArrivalCard } from "./ArrivalCard";
import { AttributeTable, type Box4 } from "./AttributeTable";
import { useAttributes } from "./useAttributes";
import { useArrivals, type Arrivals } from "./arrivals";
import { LayerDetails } from "./LayerDetails";
import { Swatch } from "./Swatch";

// The layers of the book and the reference that they are drawn in.
export function GroundStep() {
  const book = useBook();
  const { change } = useChange();
  const [over, setOver] = useState(false);
  const [pick, setPick] = useState<string | null>(null);
  const [table, setTable] = useState(false);
  const [place, setPlace] = useState<Box4 | null>(null);
  const attributes = useAttributes(pick ?? undefined);
  const picked = book.document.layers.find((layer) => layer.id === pick);
  const arrivals = useArrivals();
  const arrival = arrivals.list.find((known) => ["inspecting", "ready", "importing"].includes(known.state));
  const box = useMemo(() => book.layers.reduce<Box4 | null>((all, layer) => (layer.box ? (all ? union(all, layer.box) : layer.box) : all), null), [book.layers]);
  const features = book.layers.reduce((sum, layer) => sum + layer.count, 0);
  const drop = (event: DragEvent) => {
    event.preventDefault();
    setOver(false);
    arrivals.take(event.dataTransfer.files);
  };
  const unit = book.reference.metres_per_unit;
  return (
    <>
      <Statement answer={<><b>{count(book.layers.length, "layer")}</b> with {count(features, "feature")}{box && <> over {groundSize((box[2] - box[0]) * unit, (box[3] - box[1]) * unit)}</>}. {book.distortion?.words} {book.distortion?.warnings.map((warning) => <Warned key={warning} text={warning} />)}</>}>
        The book{" "}
        <EntryValue label="Title of the book" shown={book.document.title} text={book.document.title} read={nonEmpty} expected="Write a title." onKeep={(title) => change("Title", { title })} />
        ,{" "}
        <EntryValue label="Subtitle" shown={book.document.subtitle || "no subtitle"} text={book.document.subtitle} read={(text) => text.trim()} expected="" onKeep={(subtitle) => change("Subtitle", { subtitle })} />
        , is drawn in <b>{book.reference.name}</b> ({book.reference.code}).
      </Statement>
      {arrivals.problem && <Notice text={arrivals.problem} onClose={arrivals.clear} />}
      <Told arrivals={arrivals} />
      <Box onDragOver={(event) => { event.preventDefault(); setOver(true); }} onDragLeave={() => setOver(false)} onDrop={drop} sx={{ flex: 1, minHeight: 0, display: "flex", position: "relative" }}>
        <Box sx={{ flex: 1, minWidth: 0, display: "flex", flexDirection: "column" }}>
          <Box sx={{ flex: 1, minHeight: 0, display: "flex" }}><GroundMap label="The ground of the book" box={place ?? box} mark={place} /></Box>
          {picked && table && <AttributeTable key={picked.id} layer={picked} attributes={attributes.data ?? []} onGo={setPlace} onClose={() => { setTable(false); setPlace(null); }} />}
        </Box>
        {over && <Box sx={{ position: "absolute", inset: 12, zIndex: 20, border: 3, borderStyle: "dashed", borderColor: "primary.main", bgcolor: "#fffdf6cc", color: "#1f2a30", display: "grid", placeItems: "center", fontSize: 22, fontWeight: 700, pointerEvents: "none" }}>Drop data files here</Box>}
        {arrival ? <ArrivalCard key={arrival.id} arrival={arrival} arrivals={arrivals} /> : picked ? <LayerDetails key={picked.id} layer={picked} onBack={() => { setPick(null); setPlace(null); }} onTable={() => setTable(true)} /> : <LayerCard arrivals={arrivals} onPick={setPick} />}
      </Box>
    </>
  );
}

const nonEmpty = (text: string) => (text.trim() === "" ? null : text.trim());
const union = (a: Box4, b: Box4): Box4 => [Math.min(a[0], b[0]), Math.min(a[1], b[1]), Math.max(a[2], b[2]), Math.max(a[3], b[3])];

function LayerCard({ arrivals, onPick }: { arrivals: Arrivals; onPick: (id: string) => void }) {
  const book = useBook();
  const { change, pending } = useChange();
  const input = useRef<HTMLInputElement>(null);
  const [dragged, setDragged] = useState<string | null>(null);
  const layers = book.document.layers;
  // The list shows the top layer first; the document holds the bottom one first.
  const shown = [...layers].reverse();
  const reorder = (id: string, to: number) => {
    const from = layers.findIndex((layer) => layer.id === id);
    const place = Math.min(Math.max(to, 0), layers.length - 1);
    if (from === place || from < 0) return;
    const moved = [...layers];
    const [layer] = moved.splice(from, 1);
    moved.splice(place, 0, layer!);
    change(`Order of ${layer!.title}`, { layers: moved }).catch(() => undefined);
  };
  const toggle = (id: string) => {
    const layer = layers.find((known) => known.id === id)!;
    change(`${layer.visible ? "Hide" : "Show"} ${layer.title}`, { layers: layers.map((known) => (known.id === id ? { ...known, visible: !known.visible } : known)) }).catch(() => undefined);
  };
  return (
    <Card title="Layers" note="top first">
      <input ref={input} type="file" accept={book.data_endings.join(",")} multiple hidden aria-label="Data files" onChange={(event) => { arrivals.take([...(event.target.files ?? [])]); event.target.value = ""; }} />
      <Button variant="outlined" fullWidth sx={{ mb: 1 }} disabled={arrivals.sending} onClick={() => input.current?.click()}>{arrivals.sending ? "Sending…" : "Bring in data"}</Button>
      <Box component="ul" sx={{ m: 0, p: 0, listStyle: "none" }}>
        {shown.map((layer) => (
          <Box component="li" key={layer.id} draggable onDragStart={() => setDragged(layer.id)} onDragOver={(event) => { if (dragged) { event.preventDefault(); event.stopPropagation(); } }}
            onDrop={(event) => { if (!dragged) return; event.preventDefault(); event.stopPropagation(); reorder(dragged, layers.findIndex((known) => known.id === layer.id)); setDragged(null); }} onDragEnd={() => setDragged(null)}
            sx={{ display: "flex", alignItems: "center", gap: 0.5, py: 0.25, borderBottom: 1, borderColor: "divider", cursor: "grab", opacity: layer.visible ? 1 : 0.65, bgcolor: dragged === layer.id ? "thread.soft" : undefined }}>
            <Checkbox size="small" checked={layer.visible} onChange={() => toggle(layer.id)} disabled={pending} slotProps={{ input: { "aria-label": `Show ${layer.title}` } }} sx={{ p: 0.5 }} />
            <Swatch symbol={layer.rules[layer.rules.length - 1]!.symbol} />
            <Box sx={{ flex: 1, minWidth: 0 }}>
              <Box component="button" onClick={() => onPick(layer.id)} sx={{ font: "inherit", fontSize: 14, border: 0, p: 0, minHeight: 24, bgcolor: "transparent", color: "text.primary", cursor: "pointer", display: "block", maxWidth: "100%", textAlign: "left", overflow: "hidden", textOverflow: "ellipsis", whiteSpace: "nowrap", "&:hover": { textDecoration: "underline" }, "&:focus-visible": { outline: "2px solid", outlineColor: "primary.main" } }}>{layer.title}</Box>
              <Box sx={{ fontSize: 12, color: "text.secondary" }}>{describe(layer, book)}</Box>
            </Box>
            <Tooltip title="Up"><span><IconButton size="small" aria-label={`Move ${layer.title} up`} disabled={pending || layer === shown[0]} onClick={() => reorder(layer.id, layers.indexOf(layer) + 1)}><ArrowUpIcon sx={{ fontSize: 16 }} /></IconButton></span></Tooltip>
            <Tooltip title="Down"><span><IconButton size="small" aria-label={`Move ${layer.title} down`} disabled={pending || layer === layers[0]} onClick={() => reorder(layer.id, layers.indexOf(layer) - 1)}><ArrowDownIcon sx={{ fontSize: 16 }} /></IconButton></span></Tooltip>
          </Box>
        ))}
      </Box>
      <Box sx={{ fontSize: 12.5, color: "text.secondary", mt: 1 }}>or drop files on the map: GeoJSON, TopoJSON, GeoPackage, zipped Shapefile, KML, GML, FlatGeobuf, GPX, DXF, CSV. You see what is in them before anything is kept.</Box>
      <Button href={`/api/books/${book.id}/file`} fullWidth sx={{ mt: 2 }}>Take the book as one file</Button>
    </Card>
  );
}

function Warned({ text }: { text: string }) {
  return <Box component="span" sx={{ color: "warning.main", fontWeight: 600, ml: 0.5 }}><WarningIcon sx={{ fontSize: 15, verticalAlign: "-2px", mr: 0.25 }} />{text}</Box>;
}

// How the last files fared, until it is read.
function Told({ arrivals }: { arrivals: Arrivals }) {
  const [read, setRead] = useState<number[]>([]);
  const arrival = arrivals.list.find((known) => !read.includes(known.id) && (known.state === "failed" || (known.state === "done" && known.remarks.length > 0)));
  if (!arrival) return null;
  const text = arrival.state === "failed"
    ? `${arrival.name} was not brought in. ${arrival.reason ?? ""}`
    : `${arrival.name} came in. ${count(arrival.remarks.length, "remark")}: ${arrival.remarks.slice(0, 3).join(" ")}`;
  return <Notice text={text} kind={arrival.state === "failed" ? "error" : "warning"} onClose={() => setRead([...read, arrival.id])} />;
}

const NOUNS = { point: "point", line: "line", area: "area", mixed: "shape" };

function describe(layer: Layer, book: Book) {
  const info = book.layers.find((known) => known.id === layer.id);
  const area = book.document.index.area === layer.id ? ", the study area" : "";
  return info ? `${count(info.count, NOUNS[info.kind])}${area}` : "";
}
