import AddIcon from "@mui/icons-material/Add";
import RemoveIcon from "@mui/icons-material/Remove";
import { Box, Button, IconButton, MenuItem, TextField } from "@mui/material";
import type { ReactNode } from "react";
import { useBook } from "../api/book";
import type { MapSymbol, Marker, Stroke } from "../api/types";
import { readNumber } from "../api/words";
import { Field } from "../frame/Field";

type Keep = (symbol: MapSymbol) => Promise<unknown>;

const DASHES: { title: string; dash?: number[] }[] = [
  { title: "solid" }, { title: "dashed", dash: [2, 1] }, { title: "short dashes", dash: [1, 0.6] }, { title: "dots", dash: [0.2, 0.8] }, { title: "dash and dot", dash: [2.2, 0.9, 0.4, 0.9] },
];

// A symbol for paper: what an area is filled with, its lines, the mark of a point. Sizes are in mm.
export function SymbolEditor({ symbol, kind, name, onKeep }: { symbol: MapSymbol; kind: string; name: string; onKeep: Keep }) {
  const strokes = symbol.strokes ?? [];
  const stroke = (index: number, patch: Partial<Stroke>) => onKeep({ ...symbol, strokes: strokes.map((known, place) => (place === index ? clean({ ...known, ...patch }) : known)) });
  return (
    <Box sx={{ display: "grid", gap: 1.25 }}>
      {(kind === "area" || kind === "mixed") && (symbol.fill
        ? <Line title="Area" onRemove={() => onKeep(without(symbol, "fill"))} removes={`Take the area colour of ${name} away`}>
            <Colour label={`Area colour of ${name}`} value={symbol.fill.colour} onKeep={(colour) => onKeep({ ...symbol, fill: { ...symbol.fill, colour } })} />
            <Measured label="Cover, %" value={Math.round((symbol.fill.opacity ?? 1) * 100)} least={0} most={100} onKeep={(percent) => onKeep({ ...symbol, fill: { ...symbol.fill!, opacity: percent / 100 } })} />
          </Line>
        : <Add title="Area colour" onAdd={() => onKeep({ ...symbol, fill: { colour: "#c9d6b0", opacity: 0.5 } })} />)}
      {kind !== "point" && strokes.map((known, index) => (
        <Line key={index} title={strokes.length > 1 ? `Line ${index + 1}` : "Line"} onRemove={() => onKeep({ ...symbol, strokes: strokes.filter((_, place) => place !== index) })} removes={`Take line ${index + 1} of ${name} away`}>
          <Colour label={`Colour of line ${index + 1} of ${name}`} value={known.colour ?? "#1f2a30"} onKeep={(colour) => stroke(index, { colour })} />
          <Measured label="Width, mm" value={known.width_mm ?? 0.2} least={0.01} most={100} onKeep={(width_mm) => stroke(index, { width_mm })} />
          <TextField select label="Dash" value={dashTitle(known)} onChange={(event) => void stroke(index, { dash_mm: DASHES.find((dash) => dash.title === event.target.value)?.dash })} sx={{ minWidth: 100 }}>
            {[...DASHES.map((dash) => dash.title), ...(dashTitle(known) === "own" ? ["own"] : [])].map((title) => <MenuItem key={title} value={title}>{title}</MenuItem>)}
          </TextField>
        </Line>
      ))}
      {kind !== "point" && <Add title="Line on top" onAdd={() => onKeep({ ...symbol, strokes: [...strokes, { colour: "#1f2a30", width_mm: 0.2 }] })} />}
      {symbol.marker && <MarkerLine marker={symbol.marker} name={name} onKeep={(marker) => onKeep({ ...symbol, marker })} />}
    </Box>
  );
}

function MarkerLine({ marker, name, onKeep }: { marker: Marker; name: string; onKeep: (marker: Marker) => Promise<unknown> }) {
  const book = useBook();
  return (
    <Line title="Mark">
      <Colour label={`Colour of the mark of ${name}`} value={marker.colour} onKeep={(colour) => onKeep({ ...marker, colour })} />
      <Measured label="Size, mm" value={marker.size_mm} least={0.1} most={200} onKeep={(size_mm) => onKeep({ ...marker, size_mm })} />
      <TextField select label="Shape" value={marker.shape} onChange={(event) => void onKeep({ ...marker, shape: event.target.value })} sx={{ minWidth: 100 }}>
        {book.markers.map((shape) => <MenuItem key={shape} value={shape}>{shape}</MenuItem>)}
      </TextField>
    </Line>
  );
}

function Line({ title, children, onRemove, removes }: { title: string; children: ReactNode; onRemove?: () => Promise<unknown>; removes?: string }) {
  return (
    <Box sx={{ display: "grid", gridTemplateColumns: "1fr auto", alignItems: "center" }}>
      <Box sx={{ fontSize: 12.5, color: "text.secondary" }}>{title}</Box>
      {onRemove ? <IconButton size="small" aria-label={removes} onClick={() => void onRemove()}><RemoveIcon sx={{ fontSize: 16 }} /></IconButton> : <span />}
      <Box sx={{ gridColumn: "1 / -1", display: "flex", alignItems: "flex-end", gap: 1 }}>{children}</Box>
    </Box>
  );
}

function Add({ title, onAdd }: { title: string; onAdd: () => Promise<unknown> }) {
  return <Button startIcon={<AddIcon />} onClick={() => void onAdd()} sx={{ justifySelf: "start" }}>{title}</Button>;
}

function Colour({ label, value, onKeep }: { label: string; value: string; onKeep: (colour: string) => Promise<unknown> }) {
  return <input type="color" aria-label={label} key={value} defaultValue={value} onBlur={(event) => { if (event.target.value !== value) void onKeep(event.target.value); }} style={{ width: 38, height: 30, padding: 0, border: "1px solid #8887", background: "none", flexShrink: 0 }} />;
}

function Measured({ label, value, least, most, onKeep }: { label: string; value: number; least: number; most: number; onKeep: (value: number) => Promise<unknown> }) {
  return (
    <Field label={label} value={String(value)} onKeep={async (text) => {
      const number = readNumber(text);
      if (number === null || number < least || number > most) throw new Error(`${least} to ${most}`);
      await onKeep(number);
    }} />
  );
}

const dashTitle = (stroke: Stroke) => DASHES.find((dash) => JSON.stringify(dash.dash) === JSON.stringify(stroke.dash_mm))?.title ?? "own";

const clean = (stroke: Stroke): Stroke => Object.fromEntries(Object.entries(stroke).filter(([, value]) => value !== undefined));

function without(symbol: MapSymbol, part: keyof MapSymbol): MapSymbol {
  return Object.fromEntries(Object.entries(symbol).filter(([name]) => name !== part));
}
