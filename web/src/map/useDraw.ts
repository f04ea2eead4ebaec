import OlMap from "ol/Map";
import Polygon from "ol/geom/Polygon";
import DrawInteraction, { createBox } from "ol/interaction/Draw";
import { useEffect } from "react";
import { drawStyle } from "./mark";

export type Draw = "rectangle" | "polygon";

/** Draws by hand on a map; its corners are told when it is done. */
export function useDraw(map: OlMap | null, draw: Draw | null, onDrawn?: (corners: [number, number][]) => void) {
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
}
