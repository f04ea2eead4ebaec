import BackIcon from "@mui/icons-material/ArrowBack";
import TableIcon from "@mui/icons-material/TableRowsOutlined";
import { Box, Button, MenuItem, TextField, Typography } from "@mui/material";
import { useState } from "react";
import { useBook, useChange } from "../api/book";
import { get } from "../api/client";
import type { Layer, MapSymbol, Rule } from "../api/types";
import { count, readNumber } from "../api/words";
import { Card } from "../frame/Card";
import { Field } from "../frame/Field";
import { useAttributes } from "./useAttributes";
import { SymbolEditor } from "./SymbolEditor";

// Colours for a symbol each, far enough apart to be told on paper.
const SERIES = ["#3d6b35", "#2f74a8", "#b86a00", "#8c2f39", "#5b4a8a", "#2f6f73", "#7a4b22", "#9a2f7a", "#55606a", "#a08a1f"];

// One layer: its name, how it is drawn, how it goes out.
export function LayerDetails({ layer, onBack, onTable }: { layer: Layer; onBack: () => void; onTable: () => void }) {
  const book = useBook();
  const { change } = useChange();
  const info = book.layers.find((known) => known.id === layer.id);
  const base = `/api/books/${book.id}/layers/${layer.id}`;
  const attributes = useAttributes(layer.id);
  const put = (label: string, fresh: Layer) => change(label, { layers: book.document.layers.map((known) => (known.id === layer.id ? fresh : known)) });
  const putRule = (index: number, rule: Rule) => put(`Style of ${layer.title}`, { ...layer, rules: layer.rules.map((known, place) => (place === index ? rule : known)) });
  const covers = book.document.index.area === layer.id;
  const remove = () => void change(`Remove ${layer.title}`, { layers: book.document.layers.filter((known) => known.id !== layer.id) }).then(onBack, () => undefined);
  return (
    <Card title={layer.title} note={info && count(info.count, "feature")}>
      <Box sx={{ display: "flex", justifyContent: "space-between", mb: 1 }}>
        <Button startIcon={<BackIcon />} onClick={onBack}>All layers</Button>
        <Button startIcon={<TableIcon />} onClick={onTable}>Attributes</Button>
      </Box>
      <Field label="Title" value={layer.title} onKeep={async (title) => {
        if (title.trim() === "") throw new Error("Write a title.");
        await put(`Rename ${layer.title}`, { ...layer, title: title.trim() });
      }} />
      <Heading text={layer.rules.length > 1 ? "Symbols, the first that fits" : "Symbol"} />
      {layer.rules.map((rule, index) => (
        <Box key={index} sx={{ borderTop: index > 0 ? 1 : 0, borderColor: "divider", py: 1, display: "grid", gap: 1 }}>
          <Field label="Called" value={rule.title} onKeep={(title) => putRule(index, { ...rule, title })} />
          <SymbolEditor symbol={rule.symbol} kind={info?.kind ?? "mixed"} name={rule.title || layer.title} onKeep={(symbol: MapSymbol) => putRule(index, { ...rule, symbol })} />
        </Box>
      ))}
      <ByAttribute layer={layer} base={base} attributes={attributes.data ?? []} put={put} />
      <Heading text="Names on the map" />
      <Names layer={layer} attributes={attributes.data ?? []} put={put} />
      <Heading text="Take the layer as a file" />
      <Box sx={{ display: "flex", gap: 0.5 }}>
        {[["geojson", "GeoJSON"], ["gpkg", "GeoPackage"], ["shp", "Shapefile"]].map(([format, title]) => <Button key={format} variant="outlined" href={`${base}/file?format=${format}`}>{title}</Button>)}
      </Box>
      <Button color="error" onClick={remove} disabled={covers} sx={{ mt: 3 }}>Remove from the book</Button>
      {covers && <Typography sx={{ fontSize: 12.5, color: "text.secondary" }}>It is the study area; choose another on Weave first.</Typography>}
    </Card>
  );
}

type Put = (label: string, layer: Layer) => Promise<unknown>;

function Heading({ text }: { text: string }) {
  return <Typography component="h3" sx={{ fontSize: 14, fontWeight: 700, mt: 2.5, mb: 0.5 }}>{text}</Typography>;
}

// One symbol for all, or one for each value of an attribute.
function ByAttribute({ layer, base, attributes, put }: { layer: Layer; base: string; attributes: string[]; put: Put }) {
  const [problem, setProblem] = useState<string | null>(null);
  const first = layer.rules[0]!;
  const split = async (attribute: string) => {
    setProblem(null);
    if (attribute === "") return void put(`One symbol for ${layer.title}`, { ...layer, rules: [{ title: layer.title, symbol: first.symbol }] });
    try {
      const values = await get<{ value: string | number | boolean | null; count: number }[]>(`${base}/values?attribute=${encodeURIComponent(attribute)}`);
      const known = values.filter((entry) => entry.value !== null);
      const rules: Rule[] = known.map((entry, index) => ({ title: String(entry.value), when: { op: "=", args: [{ property: attribute }, entry.value] }, symbol: coloured(first.symbol, SERIES[index % SERIES.length]!) }));
      await put(`${layer.title} by ${attribute}`, { ...layer, rules: [...rules, { title: "others", symbol: first.symbol }] });
    } catch (error) {
      setProblem((error as Error).message);
    }
  };
  const current = attributeOf(layer);
  return (
    <TextField select fullWidth label="A symbol for each value of" value={attributes.includes(current) ? current : ""} onChange={(event) => void split(event.target.value)} error={!!problem} helperText={problem} sx={{ mt: 1 }}
      slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}>
      <MenuItem value="">no attribute: one symbol for all</MenuItem>
      {attributes.map((attribute) => <MenuItem key={attribute} value={attribute}>{attribute}</MenuItem>)}
    </TextField>
  );
}

// The attribute by whose values the rules are told apart, if it is one.
function attributeOf(layer: Layer): string {
  const args = (layer.rules[0]?.when as { args?: unknown[] } | undefined)?.args;
  return (args?.[0] as { property?: string } | undefined)?.property ?? "";
}

function coloured(symbol: MapSymbol, colour: string): MapSymbol {
  const strokes = symbol.strokes?.map((stroke) => ({ ...stroke, colour }));
  return { ...(strokes && { strokes }), ...(symbol.fill && { fill: { ...symbol.fill, colour } }), ...(symbol.marker && { marker: { ...symbol.marker, colour } }) };
}

interface Label { attribute: string; face?: string; size_pt?: number; colour?: string; halo?: string }

function Names({ layer, attributes, put }: { layer: Layer; attributes: string[]; put: Put }) {
  const label = layer.label as Label | undefined;
  const choose = (attribute: string) => {
    const fresh: Layer = { ...layer, label: { ...label, attribute } };
    if (attribute === "") delete fresh.label;
    return put(`Names of ${layer.title}`, fresh);
  };
  return (
    <Box sx={{ display: "grid", gridTemplateColumns: "1fr 84px", gap: 1 }}>
      <TextField select label="From" value={label && attributes.includes(label.attribute) ? label.attribute : ""} onChange={(event) => void choose(event.target.value)} slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}>
        <MenuItem value="">no names</MenuItem>
        {attributes.map((attribute) => <MenuItem key={attribute} value={attribute}>{attribute}</MenuItem>)}
      </TextField>
      {label && <Field label="Size, pt" value={String(label.size_pt ?? 7)} onKeep={async (text) => {
        const size_pt = readNumber(text);
        if (size_pt === null || size_pt <= 0) throw new Error("Write points, such as 7.");
        await put(`Names of ${layer.title}`, { ...layer, label: { ...label, size_pt } });
      }} />}
    </Box>
  );
}
