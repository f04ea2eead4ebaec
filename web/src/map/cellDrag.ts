import type OlMap from "ol/Map";
import type Polygon from "ol/geom/Polygon";
import PointerInteraction from "ol/interaction/Pointer";
import type VectorSource from "ol/source/Vector";
import type { Cell } from "../api/types";
import { snapped, type Beside } from "./beside";

interface CellDragOptions {
  map: OlMap;
  source: VectorSource;
  cells: Cell[];
  selected: number[];
  // Asks what lies beside the cells when they are moved by so much in ground units.
  ask: (cells: Cell[], by: [number, number]) => Promise<Beside>;
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
export function cellDrag({ map, source, cells, selected, ask, onTold, onMoved, onHeld }: CellDragOptions) {
  const mine = cells.filter((cell) => selected.includes(cell.number));
  let from: [number, number] | null = null;
  let shift: [number, number] = [0, 0];
  let known: Beside | null = null;
  const features = () => source.getFeatures().filter((feature) => selected.includes(feature.get("number") as number));
  const put = (by: [number, number]) => {
    for (const feature of features()) {
      const cell = mine.find((known) => known.number === feature.get("number"))!;
      const ring = [...cell.corners, cell.corners[0]!].map(([x, y]) => [x + by[0], y + by[1]]);
      (feature.getGeometry() as Polygon).setCoordinates([ring]);
    }
  };
  const tell = asking<[number, number], Beside>(
    (by) => ask(mine, by),
    (answer) => {
      known = answer;
      if (from && (shift[0] !== 0 || shift[1] !== 0)) onTold([answer.moved, ...answer.gaps]);
    },
  );
  return new PointerInteraction({
    handleDownEvent: (event) => {
      const original = event.originalEvent as PointerEvent;
      if (original.button !== 0 || original.shiftKey || original.ctrlKey) return false;
      // By their shapes, not by what is on the screen: fresh ones are drawn a moment later.
      const hit = source
        .getFeaturesAtCoordinate(event.coordinate)
        .some((feature) => selected.includes(feature.get("number") as number));
      shift = [0, 0];
      if (hit) {
        from = event.coordinate as [number, number];
        onHeld(true);
        tell(shift);
      }
      return hit;
    },
    handleDragEvent: (event) => {
      if (!from || mine.length === 0) return;
      const [x, y] = event.coordinate as [number, number];
      const pixel = map.getView().getResolution() ?? 1;
      const by: [number, number] = [x - from[0], y - from[1]];
      if (shift[0] === 0 && shift[1] === 0 && Math.hypot(...by) < SLACK * pixel) return;
      shift = known && !(event.originalEvent as PointerEvent).altKey ? snapped(by, known, REACH * pixel) : by;
      put(shift);
      tell(shift);
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

// One question at a time; of those that come while it is out the last is asked next.
function asking<Q, A>(ask: (question: Q) => Promise<A>, heard: (answer: A) => void): (question: Q) => void {
  let out = false;
  let next: { question: Q } | null = null;
  const put = (question: Q) => {
    out = true;
    void ask(question)
      .then(heard)
      .catch(() => undefined)
      .finally(() => {
        out = false;
        const waiting = next;
        next = null;
        if (waiting) put(waiting.question);
      });
  };
  return (question) => (out ? void (next = { question }) : put(question));
}
