import { Box } from "@mui/material";
import { useEffect, useMemo, useRef, useState, type PointerEvent } from "react";
import type { Element, Rectangle } from "../api/types";
import { around, bottom, HANDLES, resized, resizedTurned, right, shifted, turnedAngle, type Boxes } from "./boxes";
import { useLayout } from "./layout";
import { snapMove, snapSides, targets, type Guide } from "./snapping";
import { rotates } from "./kinds";
import { Tag } from "../page/Tag";

interface LayoutCanvasProps {
  perMm: number;
  selected: string[];
  onPick: (ids: string[]) => void;
  // Boxes as they are to be, when the pointer lets go.
  onPlace: (label: string, boxes: Boxes) => Promise<unknown>;
  // Degrees clockwise.
  onTurn: (id: string, angle: number) => Promise<unknown>;
  // The path in the document of what keeps this sheet from being drawn.
  fault?: string;
}

type Drag =
  | { kind: "move"; from: [number, number]; boxes: Boxes }
  | { kind: "size"; from: [number, number]; id: string; box: Rectangle; handle: { x: number; y: number } }
  | { kind: "turn"; from: [number, number]; id: string; box: Rectangle }
  | { kind: "marquee"; from: [number, number]; add: string[] };

// Pixels within which things snap, and from which a press counts as a drag.
const REACH = 6,
  SLACK = 3;
const GRID_MM = 0.5;
// Only the edge of a neatline responds, so that what lies inside it can be reached.
const EDGE_PX = 7;

// The elements of the page as boxes to pick, move and size; the drawing under them is the server's.
export function LayoutCanvas({ perMm, selected, onPick, onPlace, onTurn, fault }: LayoutCanvasProps) {
  const { layout, frame, guides, shift } = useLayout();
  const { page_width_mm: width, page_height_mm: height } = frame;
  const boxes = useMemo(
    () => Object.fromEntries(Object.entries(frame.elements).map(([id, box]) => [id, shifted(box, shift, 0)])),
    [frame.elements, shift],
  );
  const live = useMemo(() => shifted(frame.live, shift, 0), [frame.live, shift]);
  const elements = layout.elements.filter((element) => !element.hidden);
  const surface = useRef<HTMLDivElement>(null);
  const [drag, setDrag] = useState<Drag | null>(null);
  const [moved, setMoved] = useState<Boxes | null>(null);
  const [turned, setTurned] = useState<number | null>(null);
  const [lines, setLines] = useState<Guide[]>([]);
  const [marquee, setMarquee] = useState<Rectangle | null>(null);
  const page: Rectangle = useMemo(() => [0, 0, width, height], [width, height]);
  // What was moved stays where it was let go until the fresh drawing is there.
  useEffect(() => {
    setMoved(null);
    setTurned(null);
  }, [layout, frame]);
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
    setDrag({ kind: "move", from: at(event), boxes: Object.fromEntries(free.map((id) => [id, boxOf(id)])) });
  };
  const pressHandle = (event: PointerEvent, id: string, handle: { x: number; y: number }) => {
    event.stopPropagation();
    surface.current!.setPointerCapture(event.pointerId);
    setDrag({ kind: "size", from: at(event), id, box: boxOf(id), handle });
  };
  const pressTurn = (event: PointerEvent, id: string) => {
    event.stopPropagation();
    surface.current!.setPointerCapture(event.pointerId);
    setDrag({ kind: "turn", from: at(event), id, box: boxOf(id) });
  };
  const pressPage = (event: PointerEvent) => {
    if (event.button !== 0) return;
    surface.current!.setPointerCapture(event.pointerId);
    const add = event.shiftKey || event.ctrlKey || event.metaKey;
    if (!add) onPick([]);
    setDrag({ kind: "marquee", from: at(event), add: add ? selected : [] });
  };
  const move = (event: PointerEvent) => {
    if (!drag) return;
    const [x, y] = at(event);
    let dx = x - drag.from[0],
      dy = y - drag.from[1];
    if (!moved && !marquee && Math.hypot(dx, dy) * perMm < SLACK) return;
    const [reach, grid] = event.altKey ? [0, 0] : [REACH / perMm, GRID_MM];
    if (drag.kind === "marquee")
      return setMarquee([Math.min(x, drag.from[0]), Math.min(y, drag.from[1]), Math.abs(dx), Math.abs(dy)]);
    if (drag.kind === "move") {
      // Shift holds the direction.
      if (event.shiftKey) [dx, dy] = Math.abs(dx) > Math.abs(dy) ? [dx, 0] : [0, dy];
      const snap = snapMove(shifted(around(Object.values(drag.boxes))!, dx, dy), others, reach, grid);
      setLines(snap.guides);
      return setMoved(
        Object.fromEntries(
          Object.entries(drag.boxes).map(([id, box]) => [id, shifted(box, dx + snap.dx, dy + snap.dy)]),
        ),
      );
    }
    // Whole degrees; Shift: steps of 15; Alt: tenths.
    if (drag.kind === "turn")
      return setTurned(turnedAngle(drag.box, [x, y], event.shiftKey ? 15 : event.altKey ? 0.1 : 1));
    const angle = elements.find((element) => element.id === drag.id)?.rotation_deg ?? 0;
    if (angle !== 0)
      return setMoved({ [drag.id]: resizedTurned(drag.box, drag.handle, dx, dy, event.shiftKey, angle) });
    const wanted = resized(drag.box, drag.handle, dx, dy, event.shiftKey);
    const snap = event.shiftKey ? { dx: 0, dy: 0, guides: [] } : snapSides(wanted, drag.handle, others, reach, grid);
    setLines(snap.guides);
    setMoved({ [drag.id]: resized(drag.box, drag.handle, dx + snap.dx, dy + snap.dy, event.shiftKey) });
  };
  const release = () => {
    if (drag?.kind === "marquee" && marquee)
      onPick([
        ...new Set([...drag.add, ...elements.filter((element) => inside(boxOf(element.id), marquee)).flatMap(family)]),
      ]);
    if (drag?.kind === "turn" && turned !== null) void onTurn(drag.id, turned).catch(() => setTurned(null));
    if (drag && (drag.kind === "move" || drag.kind === "size") && moved)
      void onPlace(
        drag.kind === "move" ? "Move" : "Size",
        Object.fromEntries(Object.entries(moved).map(([id, box]) => [id, shifted(box, -shift, 0)])),
      ).catch(() => setMoved(null));
    setDrag(null);
    setLines([]);
    setMarquee(null);
  };
  // The drawing of what is being moved goes along until the server has drawn it in its new place.
  useEffect(() => {
    if (!moved) return;
    const parts = Object.entries(moved)
      .map(([id, box]) => ({
        part: drawnPart(layout.elements.find((element) => element.id === id)),
        from: boxes[id]!,
        box,
      }))
      .filter(({ from, box }) => from[2] === box[2] && from[3] === box[3]);
    parts.forEach(({ part, from, box }) =>
      part?.setAttribute("transform", `translate(${(box[0] - from[0]) * PER_MM} ${(box[1] - from[1]) * PER_MM})`),
    );
    return () => parts.forEach(({ part }) => part?.removeAttribute("transform"));
  }, [moved, boxes, layout.elements]);
  const place = fault?.match(/layout\/elements\/(\d+)/)?.[1];
  const faulty = place === undefined ? undefined : layout.elements[Number(place)]?.id;
  const lone = selected.length === 1 ? elements.find((element) => element.id === selected[0]) : undefined;
  const status = moved ? around(Object.values(moved)) : null;
  return (
    <Box
      ref={surface}
      data-canvas=""
      onPointerDown={pressPage}
      onPointerMove={move}
      onPointerUp={release}
      onPointerCancel={() => {
        setDrag(null);
        setMoved(null);
        setTurned(null);
        setLines([]);
        setMarquee(null);
      }}
      sx={{ position: "absolute", inset: 0, touchAction: "none", userSelect: "none" }}
    >
      {elements.map((element) => (
        <ElementBox
          key={element.id}
          element={turned !== null && element.id === lone?.id ? { ...element, rotation_deg: turned } : element}
          box={boxOf(element.id)}
          perMm={perMm}
          selected={selected.includes(element.id)}
          off={!meets(boxOf(element.id), page)}
          fault={faulty === element.id}
          onPress={pressElement}
        />
      ))}
      {lone && !lone.locked && (
        <Handles
          element={lone}
          box={boxOf(lone.id)}
          angle={turned ?? lone.rotation_deg ?? 0}
          perMm={perMm}
          onPress={pressHandle}
          onTurn={pressTurn}
        />
      )}
      {lines.map((guide, index) => (
        <Box
          key={index}
          sx={{
            position: "absolute",
            bgcolor: "#8c2f39",
            pointerEvents: "none",
            ...(guide.axis === 0
              ? { left: guide.at * perMm, top: 0, bottom: 0, width: "1px" }
              : { top: guide.at * perMm, left: 0, right: 0, height: "1px" }),
          }}
        />
      ))}
      {marquee && (
        <Box
          sx={{
            position: "absolute",
            left: marquee[0] * perMm,
            top: marquee[1] * perMm,
            width: marquee[2] * perMm,
            height: marquee[3] * perMm,
            border: "1px dashed #1f6f78",
            bgcolor: "#1f6f7818",
            pointerEvents: "none",
          }}
        />
      )}
      {turned !== null && lone && (
        <Tag sx={{ left: right(boxOf(lone.id)) * perMm + 8, top: boxOf(lone.id)[1] * perMm }}>{turned}°</Tag>
      )}
      {status && (
        <Tag
          sx={{
            ...(status[0] > width / 2
              ? { right: Math.max((width - right(status)) * perMm, 0) }
              : { left: Math.max(status[0] * perMm, 0) }),
            ...(bottom(status) > height - 12
              ? { bottom: (height - status[1]) * perMm + 6 }
              : { top: bottom(status) * perMm + 6 }),
          }}
        >
          {inWords(status, live)}
        </Tag>
      )}
    </Box>
  );
}

interface HandlesProps {
  element: Element;
  box: Rectangle;
  angle: number;
  perMm: number;
  onPress: (event: PointerEvent, id: string, handle: { x: number; y: number }) => void;
  onTurn: (event: PointerEvent, id: string) => void;
}

// Eight handles to size by, and one above them to turn by, all turned with the element.
function Handles({ element, box: [left, top, w, h], angle, perMm, onPress, onTurn }: HandlesProps) {
  return (
    <Box
      sx={{
        position: "absolute",
        left: left * perMm,
        top: top * perMm,
        width: w * perMm,
        height: h * perMm,
        transform: angle ? `rotate(${angle}deg)` : undefined,
        pointerEvents: "none",
      }}
    >
      {HANDLES.map((handle) => (
        <Box
          key={`${handle.x},${handle.y}`}
          data-handle={`${handle.x},${handle.y}`}
          onPointerDown={(event) => onPress(event, element.id, handle)}
          sx={{
            position: "absolute",
            left: `calc(${(handle.x + 1) * 50}% - 5px)`,
            top: `calc(${(handle.y + 1) * 50}% - 5px)`,
            width: 10,
            height: 10,
            bgcolor: "#fffdf6",
            border: 2,
            borderColor: "#1f6f78",
            cursor: handle.cursor,
            pointerEvents: "auto",
          }}
        />
      ))}
      {rotates(element) && (
        <Box
          data-handle="turn"
          title="Turn"
          onPointerDown={(event) => onTurn(event, element.id)}
          sx={{
            position: "absolute",
            left: "calc(50% - 6px)",
            top: -26,
            width: 12,
            height: 12,
            borderRadius: "50%",
            bgcolor: "#fffdf6",
            border: 2,
            borderColor: "#1f6f78",
            cursor: "grab",
            pointerEvents: "auto",
            "&::after": {
              content: '""',
              position: "absolute",
              left: 3,
              top: 10,
              width: "2px",
              height: 12,
              bgcolor: "#1f6f78",
            },
          }}
        />
      )}
    </Box>
  );
}

// The server's drawing counts in hundredths of a millimetre.
const PER_MM = 100;

const drawnPart = (element: Element | undefined) =>
  element ? document.querySelector(`[data-sheet] [data-part="${CSS.escape(`${element.kind} ${element.id}`)}"]`) : null;

const tidy = (mm: number) => String(Math.round(mm * 100) / 100);

// Where a box is, how large, and how far from the margins.
function inWords(box: Rectangle, live: Rectangle): string {
  return `${tidy(box[0])}, ${tidy(box[1])} · ${tidy(box[2])} × ${tidy(box[3])} mm · from the margins ${tidy(box[0] - live[0])}, ${tidy(box[1] - live[1])}, ${tidy(right(live) - right(box))}, ${tidy(bottom(live) - bottom(box))}`;
}

const inside = (box: Rectangle, area: Rectangle) =>
  box[0] >= area[0] && box[1] >= area[1] && right(box) <= right(area) && bottom(box) <= bottom(area);

const meets = (box: Rectangle, page: Rectangle) =>
  box[0] < right(page) && right(box) > page[0] && box[1] < bottom(page) && bottom(box) > page[1];

function ElementBox({
  element,
  box,
  perMm,
  selected,
  off,
  fault,
  onPress,
}: {
  element: Element;
  box: Rectangle;
  perMm: number;
  selected: boolean;
  off: boolean;
  fault: boolean;
  onPress: (event: PointerEvent, element: Element) => void;
}) {
  const frame = {
    position: "absolute",
    left: box[0] * perMm,
    top: box[1] * perMm,
    width: Math.max(box[2] * perMm, 4),
    height: Math.max(box[3] * perMm, 4),
    transform: element.rotation_deg ? `rotate(${element.rotation_deg}deg)` : undefined,
  } as const;
  const line = selected ? "2px solid #1f6f78" : off || fault ? "2px dashed #a3211b" : "1px solid transparent";
  const edges = element.kind === "neatline";
  const responds = { cursor: element.locked ? "not-allowed" : "move", pointerEvents: "auto" } as const;
  return (
    <Box
      data-element={element.id}
      onPointerDown={edges ? undefined : (event) => onPress(event, element)}
      sx={{
        ...frame,
        outline: line,
        outlineOffset: -1,
        ...(edges ? { pointerEvents: "none" } : responds),
        "&:hover": { outline: selected ? line : "1px solid #1f6f7899" },
      }}
    >
      {fault && (
        <Box
          sx={{
            position: "absolute",
            left: 0,
            top: 0,
            px: 0.5,
            bgcolor: "#a3211b",
            color: "#fff",
            fontSize: 12,
            fontWeight: 700,
            lineHeight: "16px",
          }}
        >
          ! cannot be filled in on this sheet
        </Box>
      )}
      {edges &&
        [
          { left: 0, right: 0, top: 0, height: EDGE_PX },
          { left: 0, right: 0, bottom: 0, height: EDGE_PX },
          { top: 0, bottom: 0, left: 0, width: EDGE_PX },
          { top: 0, bottom: 0, right: 0, width: EDGE_PX },
        ].map((edge, index) => (
          <Box
            key={index}
            onPointerDown={(event) => onPress(event, element)}
            sx={{ position: "absolute", ...edge, ...responds }}
          />
        ))}
    </Box>
  );
}
