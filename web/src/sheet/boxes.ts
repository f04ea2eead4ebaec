import type { Rectangle } from "../api/types";

export type Boxes = Record<string, Rectangle>;

export const right = (box: Rectangle) => box[0] + box[2];
export const bottom = (box: Rectangle) => box[1] + box[3];

/** The box about all of these, or null where there is none. */
export function around(boxes: Rectangle[]): Rectangle | null {
  if (boxes.length === 0) return null;
  const left = Math.min(...boxes.map((box) => box[0])),
    top = Math.min(...boxes.map((box) => box[1]));
  return [left, top, Math.max(...boxes.map(right)) - left, Math.max(...boxes.map(bottom)) - top];
}

export const shifted = (box: Rectangle, dx: number, dy: number): Rectangle => [
  box[0] + dx,
  box[1] + dy,
  box[2],
  box[3],
];

/** The handles of a box: which sides each moves (-1 the near one, 1 the far one, 0 none). */
export const HANDLES: { x: -1 | 0 | 1; y: -1 | 0 | 1; cursor: string }[] = [
  { x: -1, y: -1, cursor: "nwse-resize" },
  { x: 0, y: -1, cursor: "ns-resize" },
  { x: 1, y: -1, cursor: "nesw-resize" },
  { x: -1, y: 0, cursor: "ew-resize" },
  { x: 1, y: 0, cursor: "ew-resize" },
  { x: -1, y: 1, cursor: "nesw-resize" },
  { x: 0, y: 1, cursor: "ns-resize" },
  { x: 1, y: 1, cursor: "nwse-resize" },
];

const LEAST = 0.5;

/** A box with a handle drawn by (dx, dy); in proportion: the shape stays. */
export function resized(
  box: Rectangle,
  handle: { x: number; y: number },
  dx: number,
  dy: number,
  proportion: boolean,
): Rectangle {
  let width = Math.max(box[2] + handle.x * dx, LEAST),
    height = Math.max(box[3] + handle.y * dy, LEAST);
  if (proportion && box[2] > 0 && box[3] > 0) {
    const factor =
      handle.x === 0 ? height / box[3] : handle.y === 0 ? width / box[2] : Math.max(width / box[2], height / box[3]);
    width = box[2] * factor;
    height = box[3] * factor;
  }
  return [handle.x < 0 ? right(box) - width : box[0], handle.y < 0 ? bottom(box) - height : box[1], width, height];
}

export type Side = "left" | "centre" | "right" | "top" | "middle" | "bottom";

/** Boxes lined up on a side of what is round all of them; a single one on that of the area given. */
export function aligned(boxes: Boxes, side: Side, area: Rectangle): Boxes {
  const list = Object.values(boxes);
  const frame = list.length > 1 ? around(list)! : area;
  const place = ([x, y, width, height]: Rectangle): Rectangle => {
    switch (side) {
      case "left":
        return [frame[0], y, width, height];
      case "centre":
        return [frame[0] + (frame[2] - width) / 2, y, width, height];
      case "right":
        return [right(frame) - width, y, width, height];
      case "top":
        return [x, frame[1], width, height];
      case "middle":
        return [x, frame[1] + (frame[3] - height) / 2, width, height];
      case "bottom":
        return [x, bottom(frame) - height, width, height];
    }
  };
  return Object.fromEntries(Object.entries(boxes).map(([id, box]) => [id, place(box)]));
}

/** The same gap between neighbours; the outermost stay. */
export function distributed(boxes: Boxes, axis: 0 | 1): Boxes {
  const order = Object.entries(boxes).sort(([, a], [, b]) => a[axis] - b[axis]);
  if (order.length < 3) return boxes;
  const [first, last] = [order[0]![1], order[order.length - 1]![1]];
  const used = order.reduce((sum, [, box]) => sum + box[axis + 2]!, 0);
  const gap = (last[axis] + last[axis + 2]! - first[axis] - used) / (order.length - 1);
  let at = first[axis];
  return Object.fromEntries(
    order.map(([id, box]) => {
      const moved = [...box] as Rectangle;
      moved[axis] = at;
      at += box[axis + 2]! + gap;
      return [id, moved];
    }),
  );
}

/** The same for a box that is turned clockwise about its middle: the corner or side opposite the handle stays. */
export function resizedTurned(
  box: Rectangle,
  handle: { x: number; y: number },
  dx: number,
  dy: number,
  proportion: boolean,
  angle: number,
): Rectangle {
  const cos = Math.cos((angle * Math.PI) / 180),
    sin = Math.sin((angle * Math.PI) / 180);
  const wanted = resized(box, handle, dx * cos + dy * sin, dy * cos - dx * sin, proportion);
  const x = box[0] + box[2] / 2,
    y = box[1] + box[3] / 2;
  const shiftX = wanted[0] + wanted[2] / 2 - x,
    shiftY = wanted[1] + wanted[3] / 2 - y;
  return [
    x + shiftX * cos - shiftY * sin - wanted[2] / 2,
    y + shiftX * sin + shiftY * cos - wanted[3] / 2,
    wanted[2],
    wanted[3],
  ];
}

/** The turn, clockwise in degrees and to a step, that points a box's top at a place; -180 to 180. */
export function turnedAngle(box: Rectangle, [x, y]: [number, number], step: number): number {
  const angle = (Math.atan2(x - (box[0] + box[2] / 2), box[1] + box[3] / 2 - y) * 180) / Math.PI;
  const rounded = Number((Math.round(angle / step) * step).toFixed(1));
  return rounded === -180 ? 180 : rounded || 0;
}
