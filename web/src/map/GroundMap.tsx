import { Box } from "@mui/material";
import OlMap from "ol/Map";
import type MapBrowserEvent from "ol/MapBrowserEvent";
import View from "ol/View";
import { defaults as defaultControls } from "ol/control/defaults";
import { isEmpty } from "ol/extent";
import type Polygon from "ol/geom/Polygon";
import DrawInteraction, { createBox } from "ol/interaction/Draw";
import KeyboardPan from "ol/interaction/KeyboardPan";
import VectorLayer from "ol/layer/Vector";
import VectorImageLayer from "ol/layer/VectorImage";
import VectorSource from "ol/source/Vector";
import { useEffect, useMemo, useRef, useState } from "react";
import { useBook } from "../api/book";
import type { Book, Cell, Extent } from "../api/types";
import { coordinate, ratio } from "../api/words";
import { cellAt, cellFeature, cellsFeature, cellStyle, MANY, manyStyle, type CellRole } from "./cells";
import { beside } from "./beside";
import { cellDrag } from "./cellDrag";
import { drawStyle, markFeature, markStyle, ringFeature } from "./mark";
import { bookPlane } from "./plane";
import { GroundLayer } from "./GroundLayer";

interface GroundMapProps {
  label: string;
  // Something lies over the left of the map; what is shown stays clear of it.
  clearLeft?: boolean;
  box: Extent | null;
  cells?: Cell[];
  // Cells that would replace the kept ones.
  ghosts?: Cell[] | null;
  selected?: number[];
  onSelect?: (number: number, add: boolean) => void;
  // The selected cells were dragged by so much.
  onMoved?: (dx: number, dy: number) => Promise<unknown>;
  // Features to point out, by their boxes.
  marks?: Extent[];
  // Rings to show where something would lie.
  rings?: [number, number][][];
  // What is being drawn by hand, and its corners when it is done.
  draw?: Draw | null;
  onDrawn?: (corners: [number, number][]) => void;
  // A click on the ground: where, and how near counts (both in ground units).
  onPick?: (x: number, y: number, reach: number, add: boolean) => void;
}

export type Draw = "rectangle" | "polygon";

const NO_MARKS: Extent[] = [];
const NONE: number[] = [];
const NO_RINGS: [number, number][][] = [];
// Pixels within which a press means a feature.
const REACH = 6;

// The ground of the book as the core draws it, with cells that respond.
export function GroundMap({
  label,
  clearLeft = false,
  box,
  cells,
  ghosts,
  selected = NONE,
  onSelect,
  onMoved,
  marks = NO_MARKS,
  rings = NO_RINGS,
  draw = null,
  onDrawn,
  onPick,
}: GroundMapProps) {
  const book = useBook();
  const target = useRef<HTMLDivElement>(null);
  const [map, setMap] = useState<OlMap | null>(null);
  const [pointer, setPointer] = useState<[number, number] | null>(null);
  const [scale, setScale] = useState<number | null>(null);
  const [told, setTold] = useState<string[] | null>(null);
  const ground = useRef<GroundLayer | null>(null);
  const revision = useRef(book.revision);
  const plane = bookPlane();
  const west = box?.[0],
    south = box?.[1],
    east = box?.[2],
    north = box?.[3];

  useEffect(() => {
    if (!target.current) return;
    const made = new OlMap({
      target: target.current,
      controls: defaultControls({ attribution: false, rotate: false }),
      view: new View({ projection: plane, center: [0, 0], zoom: 2, enableRotation: false, showFullExtent: true }),
    });
    made.on("pointermove", (event) => setPointer(event.coordinate as [number, number]));
    made.on("moveend", () => setScale(made.getView().getResolution() ?? null));
    setMap(made);
    return () => made.setTarget(undefined);
  }, [plane]);

  useEffect(() => {
    if (!map || west === undefined || south === undefined || east === undefined || north === undefined) return;
    const extent = [west, south, east, north];
    // A point has no extent of its own: a hundred metres round it are shown.
    if (isEmpty(extent) || (west === east && south === north))
      map.getView().fit([west - 100, south - 100, east + 100, north + 100], { size: map.getSize() });
    else map.getView().fit(extent, { padding: [46, 46, 46, clearLeft ? 200 : 46], size: map.getSize() });
  }, [map, west, south, east, north, clearLeft]);

  useEffect(() => {
    if (!map) return;
    const layer = new GroundLayer(book.id, revision.current);
    ground.current = layer;
    map.getLayers().insertAt(0, layer);
    return () => {
      map.removeLayer(layer);
      layer.close();
    };
  }, [map, book.id]);

  const shown = useRef(book);
  useEffect(() => {
    const before = shown.current;
    shown.current = book;
    revision.current = book.revision;
    ground.current?.show(
      book.revision,
      before.reference.definition !== book.reference.definition,
      restyled(before, book),
    );
  }, [book]);

  // While cells are being dragged the map keeps to what it showed when the drag began.
  const now = useMemo(() => ({ cells, ghosts, selected, onMoved }), [cells, ghosts, selected, onMoved]);
  const [held, setHeld] = useState<typeof now | null>(null);
  const used = held ?? now;
  useEffect(() => {
    if (!map) return;
    const { cells, ghosts, selected, onMoved } = used;
    // Where cells can be moved by hand, the arrows move them and not the map.
    map.getInteractions().forEach((interaction) => {
      if (interaction instanceof KeyboardPan) interaction.setActive(!onMoved);
    });
    const role = (number: number): CellRole => (selected.includes(number) ? "selected" : "kept");
    const shown = ghosts ?? cells ?? [];
    const many = shown.length > MANY;
    // Of very many, only those that are selected are shapes of their own.
    const source = new VectorSource({
      features: (many ? (ghosts ? [] : shown.filter((cell) => selected.includes(cell.number))) : shown).map((cell) =>
        cellFeature(cell, ghosts ? "ghost" : role(cell.number)),
      ),
    });
    const layer = new VectorLayer({ source, style: cellStyle, zIndex: 10 });
    map.addLayer(layer);
    const drag =
      onMoved && cells && !ghosts
        ? cellDrag({
            map,
            source,
            cells,
            selected,
            ask: (held, by) => beside(book.id, held, by),
            onTold: setTold,
            onMoved,
            onHeld: (on) => setHeld(on ? used : null),
          })
        : null;
    if (drag) map.addInteraction(drag);
    return () => {
      map.removeLayer(layer);
      if (drag) map.removeInteraction(drag);
    };
  }, [map, used, book.id]);

  useEffect(() => {
    const shown = ghosts ?? cells ?? [];
    if (!map || shown.length <= MANY) return;
    const layer = new VectorImageLayer({
      source: new VectorSource({ features: [cellsFeature(shown, ghosts ? "ghost" : "kept")] }),
      style: manyStyle,
      zIndex: 9,
    });
    map.addLayer(layer);
    return () => {
      map.removeLayer(layer);
    };
  }, [map, cells, ghosts]);

  useEffect(() => {
    if (!map || (marks.length === 0 && rings.length === 0)) return;
    const layer = new VectorLayer({
      source: new VectorSource({ features: [...marks.map(markFeature), ...rings.map(ringFeature)] }),
      style: markStyle,
      zIndex: 20,
    });
    map.addLayer(layer);
    return () => {
      map.removeLayer(layer);
    };
  }, [map, marks, rings]);

  useEffect(() => {
    if (!map || !draw) return;
    const interaction = new DrawInteraction(
      draw === "rectangle"
        ? { type: "Circle", geometryFunction: createBox(), style: drawStyle }
        : { type: "Polygon", style: drawStyle },
    );
    interaction.on("drawend", (event) =>
      onDrawn?.((event.feature.getGeometry() as Polygon).getCoordinates()[0]!.slice(0, -1) as [number, number][]),
    );
    map.addInteraction(interaction);
    return () => {
      map.removeInteraction(interaction);
    };
  }, [map, draw, onDrawn]);

  useEffect(() => {
    if (!map || !onPick || draw) return;
    const click = (event: MapBrowserEvent) => {
      const [x, y] = event.coordinate as [number, number];
      const original = event.originalEvent as MouseEvent;
      onPick(
        x,
        y,
        REACH * (map.getView().getResolution() ?? 1),
        original.shiftKey || original.ctrlKey || original.metaKey,
      );
    };
    map.on("singleclick", click);
    return () => map.un("singleclick", click);
  }, [map, onPick, draw]);

  useEffect(() => {
    if (!map || !onSelect) return;
    const click = (event: MapBrowserEvent) => {
      const found =
        (cells?.length ?? 0) > MANY
          ? cellAt(cells!, event.coordinate as [number, number])?.number
          : map.forEachFeatureAtPixel(event.pixel, (feature) => feature.get("number") as number | undefined);
      const original = event.originalEvent as MouseEvent;
      if (found) onSelect(found, original.shiftKey || original.ctrlKey || original.metaKey);
    };
    map.on("singleclick", click);
    return () => map.un("singleclick", click);
  }, [map, onSelect, cells]);

  const metresPerPixel = scale ? scale * book.reference.metres_per_unit : null;
  return (
    <Box sx={{ position: "relative", flex: 1, minWidth: 0, bgcolor: "#f3eee2" }}>
      <Box
        ref={target}
        tabIndex={0}
        role="application"
        aria-label={`${label}. Arrow keys move ${onMoved ? "the selected cells" : "it"}, plus and minus make it larger and smaller.`}
        sx={{
          position: "absolute",
          inset: 0,
          "&:focus-visible": { outline: "2px solid", outlineColor: "primary.main", outlineOffset: -2 },
          "& .ol-zoom": { left: "auto", right: 10, top: 10 },
          "& .ol-zoom button": {
            bgcolor: "background.paper",
            color: "text.primary",
            border: 1,
            borderColor: "divider",
            fontSize: 18,
          },
        }}
      />
      {told && (
        <Box
          role="status"
          sx={{
            position: "absolute",
            left: "50%",
            top: 56,
            transform: "translateX(-50%)",
            px: 1,
            py: 0.5,
            bgcolor: "#1e2a30",
            color: "#f6f1e6",
            fontSize: 13,
            pointerEvents: "none",
            whiteSpace: "pre",
          }}
        >
          {told.join("\n")}
        </Box>
      )}
      <Box
        sx={{
          position: "absolute",
          right: 8,
          bottom: 8,
          px: 1,
          py: 0.25,
          bgcolor: "background.paper",
          border: 1,
          borderColor: "divider",
          fontSize: 12.5,
          display: "flex",
          gap: 1.5,
          pointerEvents: "none",
        }}
      >
        {pointer && (
          <span>
            {coordinate(pointer[0])} E&ensp;{coordinate(pointer[1])} N
          </span>
        )}
        {metresPerPixel && <span>screen about {ratio(Math.round(metresPerPixel / (0.0254 / 96) / 100) * 100)}</span>}
      </Box>
    </Box>
  );
}

// The layers that alone look different in another state of the book; null where their order, their
// number or their data changed too.
function restyled(before: Book, after: Book): string[] | null {
  const [old, fresh] = [before.document.layers, after.document.layers];
  if (before.reference.definition !== after.reference.definition || old.length !== fresh.length) return null;
  if (
    !old.every(
      (layer, index) =>
        layer.id === fresh[index]!.id &&
        layer.version === fresh[index]!.version &&
        layer.visible === fresh[index]!.visible,
    )
  )
    return null;
  return fresh.filter((layer, index) => JSON.stringify(layer) !== JSON.stringify(old[index])).map((layer) => layer.id);
}
