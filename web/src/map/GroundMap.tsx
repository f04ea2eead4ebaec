import { Box } from "@mui/material";
import OlMap from "ol/Map";
import View from "ol/View";
import { defaults as defaultControls } from "ol/control/defaults";
import { isEmpty } from "ol/extent";
import VectorLayer from "ol/layer/Vector";
import VectorSource from "ol/source/Vector";
import { useEffect, useRef, useState } from "react";
import { useBook } from "../api/book";
import type { Cell } from "../api/types";
import { coordinate, ratio } from "../api/words";
import { cellFeature, cellStyle, type CellRole } from "./cells";
import { markFeature, markStyle } from "./mark";
import { bookPlane } from "./plane";
import { GroundLayer } from "./GroundLayer";

interface GroundMapProps {
  label: string;
  box: [number, number, number, number] | null;
  cells?: Cell[];
  // Cells that would replace the kept ones.
  ghosts?: Cell[] | null;
  selected?: number;
  onSelect?: (number: number) => void;
  // A feature to point out, by its box.
  mark?: [number, number, number, number] | null;
}

// The ground of the book as the core draws it, with cells that respond.
export function GroundMap({ label, box, cells, ghosts, selected, onSelect, mark = null }: GroundMapProps) {
  const book = useBook();
  const target = useRef<HTMLDivElement>(null);
  const [map, setMap] = useState<OlMap | null>(null);
  const [pointer, setPointer] = useState<[number, number] | null>(null);
  const [scale, setScale] = useState<number | null>(null);
  const plane = bookPlane();
  const west = box?.[0], south = box?.[1], east = box?.[2], north = box?.[3];

  useEffect(() => {
    if (!target.current) return;
    const made = new OlMap({ target: target.current, controls: defaultControls({ attribution: false, rotate: false }), view: new View({ projection: plane, center: [0, 0], zoom: 2, enableRotation: false, showFullExtent: true }) });
    made.on("pointermove", (event) => setPointer(event.coordinate as [number, number]));
    made.on("moveend", () => setScale(made.getView().getResolution() ?? null));
    setMap(made);
    return () => made.setTarget(undefined);
  }, [plane]);

  useEffect(() => {
    if (!map || west === undefined || south === undefined || east === undefined || north === undefined) return;
    const extent = [west, south, east, north];
    // A point has no extent of its own: a hundred metres round it are shown.
    if (isEmpty(extent) || (west === east && south === north)) map.getView().fit([west - 100, south - 100, east + 100, north + 100], { size: map.getSize() });
    else map.getView().fit(extent, { padding: [46, 46, 46, 46], size: map.getSize() });
  }, [map, west, south, east, north]);

  useEffect(() => {
    if (!map) return;
    const layer = new GroundLayer(book.id, book.revision);
    map.getLayers().insertAt(0, layer);
    return () => {
      map.removeLayer(layer);
      layer.close();
    };
  }, [map, book.id, book.revision]);

  useEffect(() => {
    if (!map) return;
    const role = (number: number): CellRole => (number === selected ? "selected" : "kept");
    const source = new VectorSource({ features: (ghosts ?? cells ?? []).map((cell) => cellFeature(cell, ghosts ? "ghost" : role(cell.number))) });
    const layer = new VectorLayer({ source, style: cellStyle, zIndex: 10 });
    map.addLayer(layer);
    return () => { map.removeLayer(layer); };
  }, [map, cells, ghosts, selected]);

  useEffect(() => {
    if (!map || !mark) return;
    const layer = new VectorLayer({ source: new VectorSource({ features: [markFeature(mark)] }), style: markStyle, zIndex: 20 });
    map.addLayer(layer);
    return () => { map.removeLayer(layer); };
  }, [map, mark]);

  useEffect(() => {
    if (!map || !onSelect) return;
    const click = (event: { pixel: number[] }) => {
      const found = map.forEachFeatureAtPixel(event.pixel, (feature) => feature.get("number") as number | undefined);
      if (found) onSelect(found);
    };
    map.on("singleclick", click);
    return () => map.un("singleclick", click);
  }, [map, onSelect]);

  const metresPerPixel = scale ? scale * book.reference.metres_per_unit : null;
  return (
    <Box sx={{ position: "relative", flex: 1, minWidth: 0, bgcolor: "#f3eee2" }}>
      <Box ref={target} tabIndex={0} role="application" aria-label={`${label}. Arrow keys move it, plus and minus make it larger and smaller.`} sx={{ position: "absolute", inset: 0, "&:focus-visible": { outline: "2px solid", outlineColor: "primary.main", outlineOffset: -2 },
        "& .ol-zoom": { left: "auto", right: 10, top: 10 } , "& .ol-zoom button": { bgcolor: "background.paper", color: "text.primary", border: 1, borderColor: "divider", fontSize: 18 } }} />
      <Box sx={{ position: "absolute", right: 8, bottom: 8, px: 1, py: 0.25, bgcolor: "background.paper", border: 1, borderColor: "divider", fontSize: 12.5, display: "flex", gap: 1.5, pointerEvents: "none" }}>
        {pointer && <span>{coordinate(pointer[0])} E&ensp;{coordinate(pointer[1])} N</span>}
        {metresPerPixel && <span>screen about {ratio(Math.round(metresPerPixel / (0.0254 / 96) / 100) * 100)}</span>}
      </Box>
    </Box>
  );
}
