import type { Cell, Extent } from "../api/types";

export function bounds(corners: [number, number][]): Extent {
  const xs = corners.map((point) => point[0]),
    ys = corners.map((point) => point[1]);
  return [Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)];
}

// The shift of moved cells that brings an edge to a neighbour's edge, to the wished overlap with it, into line
// with it, or their lower left corner to a round coordinate; the nearest within reach, each way on its own.
export function snapped(
  box: Extent,
  others: Extent[],
  overlap: [number, number],
  round: number,
  reach: number,
): [number, number] {
  const along = (low: number, high: number, axis: 0 | 1): number => {
    const targets = others.flatMap((other) => {
      const [from, to] = [other[axis]!, other[axis + 2]!];
      return [to - low, from - high, to - overlap[axis] - low, from + overlap[axis] - high, from - low, to - high];
    });
    const best = targets.filter((shift) => Math.abs(shift) <= reach).sort((a, b) => Math.abs(a) - Math.abs(b))[0];
    if (best !== undefined) return best;
    const toRound = Math.round(low / round) * round - low;
    return Math.abs(toRound) <= reach ? toRound : 0;
  };
  return [along(box[0], box[2], 0), along(box[1], box[3], 1)];
}

export interface Gap {
  name: string;
  mm: number;
}

type Corners = [number, number][];

// How far two rectangles, turned or not, are apart (or, below nothing, how deep they overlap) along that of
// their axes which parts them most.
export function apart(one: Corners, other: Corners): number {
  const axes = [one, other].flatMap((corners) =>
    [0, 1].map((side) => {
      const dx = corners[side + 1]![0] - corners[side]![0],
        dy = corners[side + 1]![1] - corners[side]![1];
      const length = Math.hypot(dx, dy) || 1;
      return [dx / length, dy / length] as const;
    }),
  );
  const reach = (corners: Corners, axis: readonly [number, number]) =>
    corners.map(([x, y]) => x * axis[0] + y * axis[1]);
  return Math.max(
    ...axes.map((axis) => {
      const mine = reach(one, axis),
        theirs = reach(other, axis);
      return Math.max(Math.min(...theirs) - Math.max(...mine), Math.min(...mine) - Math.max(...theirs));
    }),
  );
}

// The gap or overlap on paper to each cell near by, the nearest first. unitsPerMm: ground units that a
// millimetre of paper covers.
export function gaps(corners: Corners, others: { name: string; corners: Corners }[], unitsPerMm: number): Gap[] {
  const side = Math.max(
    Math.hypot(corners[1]![0] - corners[0]![0], corners[1]![1] - corners[0]![1]),
    Math.hypot(corners[2]![0] - corners[1]![0], corners[2]![1] - corners[1]![1]),
  );
  const near = others.filter(
    ({ corners: other }) =>
      Math.abs(other[0]![0] - corners[0]![0]) < 3 * side && Math.abs(other[0]![1] - corners[0]![1]) < 3 * side,
  );
  return near
    .map(({ name, corners: other }) => ({ name, mm: apart(corners, other) / unitsPerMm }))
    .filter(({ mm }) => mm * unitsPerMm < side / 3)
    .sort((a, b) => Math.abs(a.mm) - Math.abs(b.mm))
    .slice(0, 4);
}

export const gapInWords = ({ name, mm }: Gap) =>
  Math.abs(mm) < 0.05
    ? `${name}: edge to edge`
    : `${name}: ${Math.abs(mm).toFixed(1)} mm ${mm < 0 ? "overlap" : "gap"}`;

export const boundsOf = (cell: Cell): Extent => bounds(cell.corners);
