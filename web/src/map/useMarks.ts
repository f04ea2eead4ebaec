import OlMap from "ol/Map";
import VectorLayer from "ol/layer/Vector";
import VectorSource from "ol/source/Vector";
import { useEffect } from "react";
import type { Extent } from "../api/types";
import { markFeature, markStyle, ringFeature } from "./mark";

/** Features that are pointed out by their boxes, and rings where something would lie. */
export function useMarks(map: OlMap | null, marks: Extent[], rings: [number, number][][]) {
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
}
