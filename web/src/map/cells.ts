import Feature from "ol/Feature";
import MultiPolygon from "ol/geom/MultiPolygon";
import Polygon from "ol/geom/Polygon";
import { Fill, Stroke, Style, Text } from "ol/style";
import type { FeatureLike } from "ol/Feature";
import type { Cell, TrialCell } from "../api/types";

export type CellRole = "kept" | "selected" | "ghost";

const THREAD = "#8c2f39";
const PICKED = "#1f6f78";
const COLOURS: Record<CellRole, { line: string; area: string; width: number; dash?: number[] }> = {
  kept: { line: THREAD, area: "rgba(140,47,57,0.05)", width: 1.4 },
  selected: { line: PICKED, area: "rgba(31,111,120,0.2)", width: 3 },
  ghost: { line: THREAD, area: "rgba(140,47,57,0.08)", width: 1.6, dash: [6, 4] },
};

/** A cell as a shape of the map. key: by which it is the same one after a change. */
export function cellFeature(cell: TrialCell, role: CellRole, key: string) {
  const feature = new Feature(new Polygon([ringOf(cell)]));
  feature.setId(key);
  described(feature, cell, role);
  return feature;
}

export const ringOf = (cell: TrialCell, [dx, dy]: [number, number] = [0, 0]) =>
  [...cell.corners, cell.corners[0]!].map(([x, y]) => [x + dx, y + dy]);

/** What the shape says of its cell; where it lies is another thing. */
export function described(feature: Feature<Polygon>, cell: TrialCell, role: CellRole) {
  feature.setProperties({
    cell,
    number: cell.number,
    name: cell.kept ? `${cell.name} ◆` : cell.name,
    pinned: cell.pinned,
    role,
  });
}

/** So many cells are one shape, without names: quick to draw, however many there are. */
export const MANY = 3000;

export function cellsFeature(cells: TrialCell[], role: CellRole) {
  return new Feature({ geometry: new MultiPolygon(cells.map((cell) => [[...cell.corners, cell.corners[0]!]])), role });
}

export const manyStyle = (feature: FeatureLike) => {
  const colour = COLOURS[feature.get("role") as CellRole];
  return new Style({ stroke: new Stroke({ color: colour.line, width: 0.8, lineDash: colour.dash }) });
};

/** The cell in which a place lies, the last one where several do. */
export function cellAt(cells: Cell[], [x, y]: [number, number]): Cell | undefined {
  return cells.findLast((cell) =>
    cell.corners.every(([x1, y1], index) => {
      const [x2, y2] = cell.corners[(index + 1) % 4]!;
      return (x2 - x1) * (y - y1) - (y2 - y1) * (x - x1) >= 0;
    }),
  );
}

/** Names stand in the upper left corner, where neighbours overlap least; they hide when cells are small. */
export function cellStyle(feature: FeatureLike, resolution: number) {
  const role = feature.get("role") as CellRole;
  const colour = COLOURS[role];
  const corners = (feature.getGeometry() as Polygon).getCoordinates()[0]!;
  const size = Math.hypot(corners[1]![0]! - corners[0]![0]!, corners[1]![1]! - corners[0]![1]!) / resolution;
  const text =
    size > 34
      ? new Text({
          text: `${feature.get("pinned") ? "■ " : ""}${feature.get("name") as string}`,
          font: `700 ${size > 80 ? 15 : 12}px "Loom Sans"`,
          fill: new Fill({ color: colour.line }),
          stroke: new Stroke({ color: "#fffdf6", width: 4 }),
        })
      : undefined;
  return new Style({
    stroke: new Stroke({ color: colour.line, width: colour.width, lineDash: colour.dash }),
    fill: new Fill({ color: colour.area }),
    text,
    zIndex: role === "selected" ? 2 : 1,
  });
}
