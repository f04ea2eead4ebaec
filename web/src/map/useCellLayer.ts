import OlMap from "ol/Map";
import KeyboardPan from "ol/interaction/KeyboardPan";
import VectorLayer from "ol/layer/Vector";
import VectorImageLayer from "ol/layer/VectorImage";
import VectorSource from "ol/source/Vector";
import { useEffect, useMemo, useState } from "react";
import { useBook } from "../api/book";
import type { Cell } from "../api/types";
import { beside } from "./beside";
import { cellDrag } from "./cellDrag";
import { MANY, cellFeature, cellStyle, cellsFeature, manyStyle, type CellRole } from "./cells";

interface CellLayerProps {
  cells?: Cell[];
  ghosts?: Cell[] | null;
  selected: number[];
  onMoved?: (dx: number, dy: number) => Promise<unknown>;
}

// The cells on a map, which can be dragged where that is wanted. Returns what is told while they are.
export function useCellLayer(map: OlMap | null, { cells, ghosts, selected, onMoved }: CellLayerProps): string[] | null {
  const book = useBook();
  const [told, setTold] = useState<string[] | null>(null);
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
  return told;
}
