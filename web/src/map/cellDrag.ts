import type OlMap from "ol/Map";
import PointerInteraction from "ol/interaction/Pointer";
import type { Cell } from "../api/types";
import { snapped, type Beside } from "./beside";
import type { CellShapes } from "./cellShapes";

interface CellDragOptions {
  map: OlMap;
  shapes: CellShapes;
  // The cells that the hand would take now.
  selected: () => Cell[];
  // Asks what lies beside the cells when they are moved by so much in ground units.
  ask: (cells: Cell[], by: [number, number]) => Promise<Beside>;
  onNotices: (notices: string[] | null) => void;
  onMoved: (dx: number, dy: number) => Promise<unknown>;
}

// Pixels within which cells snap, and from which a press counts as a drag.
const REACH = 8,
  SLACK = 4;
// By then the answer is on the map; cells that it left where they were go back there.
const SETTLED_MS = 500;

/**
 * Drags the selected cells; they snap to their neighbours and to round coordinates (not with Alt), and what lies
 * between them and their neighbours is told in mm on paper. Where they are let go they stay while the answer is under
 * way.
 */
export function cellDrag({ map, shapes, selected, ask, onNotices, onMoved }: CellDragOptions) {
  let mine: Cell[] = [];
  let from: [number, number] | null = null;
  let shift: [number, number] = [0, 0];
  let known: Beside | null = null;
  // How often something was taken, so that a late answer lets go of nothing else.
  let taken = 0;
  const tell = asking<[number, number], Beside>(
    (by) => ask(mine, by),
    (answer) => {
      known = answer;
      if (from && (shift[0] !== 0 || shift[1] !== 0)) onNotices([answer.moved, ...answer.gaps]);
    },
  );
  return new PointerInteraction({
    handleDownEvent: (event) => {
      const original = event.originalEvent as PointerEvent;
      if (original.button !== 0 || original.shiftKey || original.ctrlKey) return false;
      const cells = selected();
      const ids = new Set(cells.map((cell) => `${cell.id}`));
      // By their shapes, not by what is on the screen: fresh ones are drawn a moment later.
      const hit = shapes.source
        .getFeaturesAtCoordinate(event.coordinate)
        .some((feature) => ids.has(feature.getId() as string));
      shift = [0, 0];
      if (hit) {
        shapes.drop();
        mine = cells;
        taken += 1;
        known = null;
        from = event.coordinate as [number, number];
        shapes.take(mine);
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
      shapes.put(shift);
      tell(shift);
    },
    handleUpEvent: () => {
      onNotices(null);
      from = null;
      const own = taken;
      const letGo = () => {
        if (own === taken && !from) shapes.drop();
      };
      if (shift[0] === 0 && shift[1] === 0) letGo();
      else void onMoved(...shift).then(() => window.setTimeout(letGo, SETTLED_MS), letGo);
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
      // Of a question that is overtaken nobody needs the answer.
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
