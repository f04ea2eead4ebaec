import Feature from "ol/Feature";
import Polygon, { fromExtent } from "ol/geom/Polygon";
import Point from "ol/geom/Point";
import { Circle, Fill, Stroke, Style } from "ol/style";

const stroke = new Stroke({ color: "#1f6f78", width: 3 });

/** A ring round a point, or the box of anything larger. */
export function markFeature(box: [number, number, number, number]) {
  return new Feature(box[0] === box[2] && box[1] === box[3] ? new Point([box[0], box[1]]) : fromExtent(box));
}

/** An outline; one without width is shown as a point. */
export function ringFeature(ring: [number, number][]) {
  const first = ring[0]!;
  return new Feature(
    ring.every((corner) => corner[0] === first[0] && corner[1] === first[1])
      ? new Point(first)
      : new Polygon([[...ring, first]]),
  );
}

/** How a place is set off on the map. */
export const markStyle = new Style({ stroke, image: new Circle({ radius: 14, stroke }) });

/** What is being drawn by hand. */
export const drawStyle = new Style({
  stroke: new Stroke({ color: "#8c2f39", width: 2, lineDash: [6, 4] }),
  fill: new Fill({ color: "rgba(140,47,57,0.12)" }),
  image: new Circle({ radius: 5, fill: new Fill({ color: "#8c2f39" }) }),
});
