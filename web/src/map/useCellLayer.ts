import OlMap from "ol/Map";
import KeyboardPan from "ol/interaction/KeyboardPan";
import VectorLayer from "ol/layer/Vector";
import VectorImageLayer from "ol/layer/VectorImage";
import VectorSource from "ol/source/Vector";
import { useEffect, useLayoutEffect, useRef, useState } from "react";
import { useBook } from "../api/book";
import type { Cell, TrialCell } from "../api/types";
import { beside } from "./beside";
import { cellDrag } from "./cellDrag";
import { CellShapes } from "./cellShapes";
import { MANY, cellStyle, cellsFeature, manyStyle } from "./cells";

interface CellLayerProps {
  cells?: Cell[];
  ghosts?: TrialCell[] | null;
  selected: number[];
  onMoved?: (dx: number, dy: number) => Promise<unknown>;
}

/** The cells on a map, which can be dragged where that is wanted. Returns what is told while they are. */
export function useCellLayer(map: OlMap | null, { cells, ghosts, selected, onMoved }: CellLayerProps): string[] | null {
  const { id: book } = useBook();
  const [notices, setNotices] = useState<string[] | null>(null);
  const [shapes] = useState(() => new CellShapes());
  const now = useRef({ cells, selected, onMoved });
  useLayoutEffect(() => {
    now.current = { cells, selected, onMoved };
  }, [cells, selected, onMoved]);

  useEffect(() => {
    if (!map) return;
    const layer = new VectorLayer({ source: shapes.source, style: cellStyle, zIndex: 10 });
    map.addLayer(layer);
    return () => {
      map.removeLayer(layer);
    };
  }, [map, shapes]);

  useEffect(() => {
    const all: TrialCell[] = ghosts ?? cells ?? [];
    const chosen = new Set(selected);
    // Of very many, only those that are selected are shapes of their own.
    const shown = all.length > MANY ? (ghosts ? [] : all.filter((cell) => chosen.has(cell.number))) : all;
    shapes.show(
      shown.map((cell) => ({ cell, role: ghosts ? "ghost" : chosen.has(cell.number) ? "selected" : "kept" })),
    );
  }, [shapes, cells, ghosts, selected]);

  const movable = onMoved !== undefined && cells !== undefined && !ghosts;
  useEffect(() => {
    if (!map) return;
    // Where cells can be moved by hand, the arrows move them and not the map.
    map.getInteractions().forEach((interaction) => {
      if (interaction instanceof KeyboardPan) interaction.setActive(!movable);
    });
    if (!movable) return;
    const drag = cellDrag({
      map,
      shapes,
      selected: () => (now.current.cells ?? []).filter((cell) => now.current.selected.includes(cell.number)),
      ask: (held, by) => beside(book, held, by),
      onNotices: setNotices,
      onMoved: (dx, dy) => now.current.onMoved!(dx, dy),
    });
    map.addInteraction(drag);
    return () => {
      map.removeInteraction(drag);
    };
  }, [map, shapes, movable, book]);

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
  return notices;
}
