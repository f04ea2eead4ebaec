import Feature from "ol/Feature";
import { fromExtent } from "ol/geom/Polygon";
import Point from "ol/geom/Point";
import { Circle, Stroke, Style } from "ol/style";

const stroke = new Stroke({ color: "#1f6f78", width: 3 });

// A ring round a point, or the box of anything larger.
export function markFeature(box: [number, number, number, number]) {
  return new Feature(box[0] === box[2] && box[1] === box[3] ? new Point([box[0], box[1]]) : fromExtent(box));
}

export const markStyle = new Style({ stroke, image: new Circle({ radius: 14, stroke }) });
