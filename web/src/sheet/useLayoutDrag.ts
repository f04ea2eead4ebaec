import { useCallback, useEffect, useMemo, useRef, useState, type PointerEvent } from "react";
import type { Element, Rectangle } from "../api/types";
import { around, bottom, resized, resizedTurned, right, shifted, turnedAngle, type Boxes } from "./boxes";
import { useLayout } from "./layout";
import { snapMove, snapSides, targets, type Guide } from "./snapping";

type Drag =
  | { kind: "move"; from: [number, number]; boxes: Boxes }
  | { kind: "size"; from: [number, number]; id: string; box: Rectangle; handle: { x: number; y: number } }
  | { kind: "turn"; from: [number, number]; id: string; box: Rectangle }
  | { kind: "marquee"; from: [number, number]; add: string[] };

// Pixels within which things snap, and from which a press counts as a drag.
const REACH = 6,
  SLACK = 3;
const GRID_MM = 0.5;
// What the pointer holds, and what it comes to.
interface Hand {
  drag: Drag | null;
  moved: Boxes | null;
  turned: number | null;
  lines: Guide[];
  marquee: Rectangle | null;
}
const EMPTY: Hand = { drag: null, moved: null, turned: null, lines: [], marquee: null };

interface LayoutDragProps {
  perMm: number;
  selected: string[];
  // Of all elements on this page, its live area, and the page itself.
  boxes: Boxes;
  live: Rectangle;
  page: Rectangle;
  onPick: (ids: string[]) => void;
  onPlace: (label: string, boxes: Boxes) => Promise<unknown>;
  onTurn: (id: string, angle: number) => Promise<unknown>;
}

/**
 * What the pointer does with elements of a page: it selects, moves, sizes and turns them, or draws a box round several.
 */
export function useLayoutDrag({ perMm, selected, boxes, live, page, onPick, onPlace, onTurn }: LayoutDragProps) {
  const { layout, frame, guides, shift } = useLayout();
  const elements = layout.elements.filter((element) => !element.hidden);
  const surface = useRef<HTMLDivElement>(null);
  const [hand, setHand] = useState<Hand>(EMPTY);
  // The pointer may let go before what it did last is drawn: what it does counts from here.
  const now = useRef<Hand>(EMPTY);
  const put = useCallback((patch: Partial<Hand>) => {
    now.current = { ...now.current, ...patch };
    setHand(now.current);
  }, []);
  const { moved, turned, lines, marquee } = hand;
  // What was moved stays where it was let go until the fresh drawing is there.
  useEffect(() => put({ moved: null, turned: null }), [layout, frame, put]);
  const others = useMemo(
    () =>
      targets(
        page,
        live,
        Object.entries(boxes)
          .filter(([id]) => !selected.includes(id))
          .map(([, box]) => box),
        guides,
      ),
    [page, live, boxes, selected, guides],
  );
  const boxOf = (id: string) => moved?.[id] ?? boxes[id] ?? page;
  const at = (event: PointerEvent): [number, number] => {
    const area = surface.current!.getBoundingClientRect();
    return [(event.clientX - area.left) / perMm, (event.clientY - area.top) / perMm];
  };
  const family = (element: Element) =>
    element.group ? elements.filter((known) => known.group === element.group).map((known) => known.id) : [element.id];

  const pressElement = (event: PointerEvent, element: Element) => {
    if (event.button !== 0) return;
    event.stopPropagation();
    const ids = family(element);
    const add = event.shiftKey || event.ctrlKey || event.metaKey;
    const held = ids.every((id) => selected.includes(id));
    const fresh = add
      ? held
        ? selected.filter((id) => !ids.includes(id))
        : [...selected, ...ids]
      : held
        ? selected
        : ids;
    onPick(fresh);
    const free = fresh.filter((id) => !elements.find((known) => known.id === id)?.locked);
    if (free.length === 0) return;
    surface.current!.setPointerCapture(event.pointerId);
    put({ drag: { kind: "move", from: at(event), boxes: Object.fromEntries(free.map((id) => [id, boxOf(id)])) } });
  };
  const pressHandle = (event: PointerEvent, id: string, handle: { x: number; y: number }) => {
    event.stopPropagation();
    surface.current!.setPointerCapture(event.pointerId);
    put({ drag: { kind: "size", from: at(event), id, box: boxOf(id), handle } });
  };
  const pressTurn = (event: PointerEvent, id: string) => {
    event.stopPropagation();
    surface.current!.setPointerCapture(event.pointerId);
    put({ drag: { kind: "turn", from: at(event), id, box: boxOf(id) } });
  };
  const pressPage = (event: PointerEvent) => {
    if (event.button !== 0) return;
    surface.current!.setPointerCapture(event.pointerId);
    const add = event.shiftKey || event.ctrlKey || event.metaKey;
    if (!add) onPick([]);
    put({ drag: { kind: "marquee", from: at(event), add: add ? selected : [] } });
  };
  const move = (event: PointerEvent) => {
    const { drag, moved, marquee } = now.current;
    if (!drag) return;
    const [x, y] = at(event);
    let dx = x - drag.from[0],
      dy = y - drag.from[1];
    if (!moved && !marquee && Math.hypot(dx, dy) * perMm < SLACK) return;
    const [reach, grid] = event.altKey ? [0, 0] : [REACH / perMm, GRID_MM];
    if (drag.kind === "marquee")
      return put({ marquee: [Math.min(x, drag.from[0]), Math.min(y, drag.from[1]), Math.abs(dx), Math.abs(dy)] });
    if (drag.kind === "move") {
      // Shift holds the direction.
      if (event.shiftKey) [dx, dy] = Math.abs(dx) > Math.abs(dy) ? [dx, 0] : [0, dy];
      const snap = snapMove(shifted(around(Object.values(drag.boxes))!, dx, dy), others, reach, grid);
      const places = Object.entries(drag.boxes).map(([id, box]) => [id, shifted(box, dx + snap.dx, dy + snap.dy)]);
      return put({ lines: snap.guides, moved: Object.fromEntries(places) as Boxes });
    }
    // Whole degrees; Shift: steps of 15; Alt: tenths.
    if (drag.kind === "turn")
      return put({ turned: turnedAngle(drag.box, [x, y], event.shiftKey ? 15 : event.altKey ? 0.1 : 1) });
    const angle = elements.find((element) => element.id === drag.id)?.rotation_deg ?? 0;
    if (angle !== 0)
      return put({ moved: { [drag.id]: resizedTurned(drag.box, drag.handle, dx, dy, event.shiftKey, angle) } });
    const wanted = resized(drag.box, drag.handle, dx, dy, event.shiftKey);
    const snap = event.shiftKey ? { dx: 0, dy: 0, guides: [] } : snapSides(wanted, drag.handle, others, reach, grid);
    put({
      lines: snap.guides,
      moved: { [drag.id]: resized(drag.box, drag.handle, dx + snap.dx, dy + snap.dy, event.shiftKey) },
    });
  };
  const release = () => {
    const { drag, moved, turned, marquee } = now.current;
    if (drag?.kind === "marquee" && marquee)
      onPick([
        ...new Set([...drag.add, ...elements.filter((element) => inside(boxOf(element.id), marquee)).flatMap(family)]),
      ]);
    if (drag?.kind === "turn" && turned !== null) void onTurn(drag.id, turned).catch(() => put({ turned: null }));
    if (drag && (drag.kind === "move" || drag.kind === "size") && moved)
      void onPlace(
        drag.kind === "move" ? "Move" : "Size",
        Object.fromEntries(Object.entries(moved).map(([id, box]) => [id, shifted(box, -shift, 0)])),
      ).catch(() => put({ moved: null }));
    put({ drag: null, lines: [], marquee: null });
  };
  const cancel = () => put(EMPTY);
  return {
    surface,
    boxOf,
    moved,
    turned,
    lines,
    marquee,
    pressElement,
    pressHandle,
    pressTurn,
    pressPage,
    move,
    release,
    cancel,
  };
}

const inside = (box: Rectangle, area: Rectangle) =>
  box[0] >= area[0] && box[1] >= area[1] && right(box) <= right(area) && bottom(box) <= bottom(area);
