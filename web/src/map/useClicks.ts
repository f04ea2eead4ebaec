import OlMap from "ol/Map";
import MapBrowserEvent from "ol/MapBrowserEvent";
import { useEffect } from "react";
import type { Cell } from "../api/types";
import { MANY, cellAt } from "./cells";

// Pixels within which a press means a feature.
const REACH = 6;

/** A click on the ground: where, and how near counts (both in ground units). */
export function usePick(map: OlMap | null, onPick?: (x: number, y: number, reach: number, add: boolean) => void) {
  useEffect(() => {
    if (!map || !onPick) return;
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
  }, [map, onPick]);
}

/** A click on a cell. */
export function useSelect(
  map: OlMap | null,
  cells: Cell[] | undefined,
  onSelect?: (number: number, add: boolean) => void,
) {
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
}
