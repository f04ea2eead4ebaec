import OlMap from "ol/Map";
import View from "ol/View";
import { defaults as defaultControls } from "ol/control/defaults";
import { isEmpty } from "ol/extent";
import { useEffect, useState, type RefObject } from "react";
import type { Extent } from "../api/types";
import { bookPlane } from "./plane";

/**
 * A map on an element of the page, fitted to a box of ground; where the pointer is on it, in ground units, and how many
 * of them a pixel covers. clearLeft: room for what lies over its left side.
 */
export function useOlMap(target: RefObject<HTMLDivElement | null>, box: Extent | null | undefined, clearLeft: boolean) {
  const [map, setMap] = useState<OlMap | null>(null);
  const [pointer, setPointer] = useState<[number, number] | null>(null);
  const [scale, setScale] = useState<number | null>(null);
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
  }, [plane, target]);

  useEffect(() => {
    if (!map || west === undefined || south === undefined || east === undefined || north === undefined) return;
    const extent = [west, south, east, north];
    // A point has no extent of its own: a hundred metres round it are shown.
    if (isEmpty(extent) || (west === east && south === north))
      map.getView().fit([west - 100, south - 100, east + 100, north + 100], { size: map.getSize() });
    else map.getView().fit(extent, { padding: [46, 46, 46, clearLeft ? 200 : 46], size: map.getSize() });
  }, [map, west, south, east, north, clearLeft]);
  return { map, pointer, scale };
}
