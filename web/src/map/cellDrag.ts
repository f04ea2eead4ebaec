import type OlMap from "ol/Map";
import type Polygon from "ol/geom/Polygon";
import PointerInteraction from "ol/interaction/Pointer";
import type VectorSource from "ol/source/Vector";
import type { Cell, Extent } from "../api/types";
import { boundsOf, gapInWords, gaps, snapped } from "./snap";

interface CellDragOptions {
  map: OlMap;
  source: VectorSource;
  cells: Cell[];
  selected: number[];
  // Ground units that a millimetre of paper covers at a scale.
  unitsPerMm: (scale: number) => number;
  // The wished overlap of neighbours in mm on paper, across and down.
  overlap: [number, number];
  onTold: (told: string[] | null) => void;
  onMoved: (dx: number, dy: number) => Promise<unknown>;
  // The cells are in the hand, or no more.
  onHeld: (on: boolean) => void;
}

// Pixels within which cells snap, and from which a press counts as a drag.
const REACH = 8,
  SLACK = 4;

// Drags the selected cells; they snap to their neighbours and to round coordinates (not with Alt), and what lies
// between them and their neighbours is told in mm on paper.
export function cellDrag({
  map,
  source,
  cells,
  selected,
  unitsPerMm,
  overlap,
  onTold,
  onMoved,
  onHeld,
}: CellDragOptions) {
  const mine = cells.filter((cell) => selected.includes(cell.number));
  // Cells further off than a few of their sides are no neighbours, wherever the drag goes that is seen on a screen.
  const reach = Math.max(...mine.map((cell) => Math.max(cell.width, cell.height)), 0) * 8;
  const beside = (cell: Cell) =>
    mine.some(
      (own) => Math.abs(own.centre[0] - cell.centre[0]) < reach && Math.abs(own.centre[1] - cell.centre[1]) < reach,
    );
  const others = cells
    .filter((cell) => !selected.includes(cell.number) && beside(cell))
    .map((cell) => ({ name: cell.name, corners: cell.corners, box: boundsOf(cell) }));
  let from: [number, number] | null = null;
  let shift: [number, number] = [0, 0];
  const features = () => source.getFeatures().filter((feature) => selected.includes(feature.get("number") as number));
  const whole = (): Extent =>
    mine
      .map(boundsOf)
      .reduce((a, b) => [Math.min(a[0], b[0]), Math.min(a[1], b[1]), Math.max(a[2], b[2]), Math.max(a[3], b[3])]);
  const put = (by: [number, number]) => {
    for (const feature of features()) {
      const cell = mine.find((known) => known.number === feature.get("number"))!;
      const ring = [...cell.corners, cell.corners[0]!].map(([x, y]) => [x + by[0], y + by[1]]);
      (feature.getGeometry() as Polygon).setCoordinates([ring]);
    }
  };
  return new PointerInteraction({
    handleDownEvent: (event) => {
      const original = event.originalEvent as PointerEvent;
      if (original.button !== 0 || original.shiftKey || original.ctrlKey) return false;
      // By their shapes, not by what is on the screen: fresh ones are drawn a moment later.
      const hit = source
        .getFeaturesAtCoordinate(event.coordinate)
        .some((feature) => selected.includes(feature.get("number") as number));
      if (hit) {
        from = event.coordinate as [number, number];
        onHeld(true);
      }
      shift = [0, 0];
      return hit;
    },
    handleDragEvent: (event) => {
      if (!from || mine.length === 0) return;
      const [x, y] = event.coordinate as [number, number];
      const pixel = map.getView().getResolution() ?? 1;
      const by: [number, number] = [x - from[0], y - from[1]];
      if (shift[0] === 0 && shift[1] === 0 && Math.hypot(...by) < SLACK * pixel) return;
      const box = whole();
      const moved: Extent = [box[0] + by[0], box[1] + by[1], box[2] + by[0], box[3] + by[1]];
      const perMm = unitsPerMm(mine[0]!.scale);
      const upright = mine.every((cell) => Math.abs(cell.rotation_deg) < 1e-9);
      const snap =
        (event.originalEvent as PointerEvent).altKey || !upright
          ? ([0, 0] as const)
          : snapped(
              moved,
              others.map((other) => other.box),
              [overlap[0] * perMm, overlap[1] * perMm],
              roundStep(perMm),
              REACH * pixel,
            );
      shift = [by[0] + snap[0], by[1] + snap[1]];
      put(shift);
      const near = gaps(
        mine[0]!.corners.map(([px, py]) => [px + shift[0], py + shift[1]] as [number, number]),
        others,
        perMm,
      );
      onTold([
        `moved by ${(shift[0] / perMm).toFixed(1)} mm east, ${(shift[1] / perMm).toFixed(1)} mm north on paper`,
        ...near.map(gapInWords),
      ]);
    },
    handleUpEvent: () => {
      onTold(null);
      onHeld(false);
      from = null;
      if (shift[0] !== 0 || shift[1] !== 0) void onMoved(...shift).catch(() => put([0, 0]));
      return false;
    },
  });
}

// A round ground length of about 20 mm on paper: corners come to its multiples.
const roundStep = (perMm: number) => 10 ** Math.round(Math.log10(perMm * 20));
