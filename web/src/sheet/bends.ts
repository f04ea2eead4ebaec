import type { ElementOf, Rectangle } from "../api/types";

// Places of a line as shares of its box, from its upper left.
export type Shares = [number, number][];
// In mm on the page.
export type Places = [number, number][];

const round = (value: number) => Math.round(value * 10_000) / 10_000;

const ends = (slope: "down" | "up"): Shares =>
  slope === "up"
    ? [
        [0, 1],
        [1, 0],
      ]
    : [
        [0, 0],
        [1, 1],
      ];

/** One bend more, in the middle of the longest stretch. */
export function bentAgain(points: Shares | undefined, slope: "down" | "up"): Shares {
  const list = points ?? ends(slope);
  const length = (index: number) =>
    Math.hypot(list[index + 1]![0] - list[index]![0], list[index + 1]![1] - list[index]![1]);
  let longest = 0;
  for (let index = 1; index < list.length - 1; index++) if (length(index) > length(longest)) longest = index;
  const [one, other] = [list[longest]!, list[longest + 1]!];
  const middle: [number, number] = [round((one[0] + other[0]) / 2), round((one[1] + other[1]) / 2)];
  return [...list.slice(0, longest + 1), middle, ...list.slice(longest + 1)];
}

/** Across its box again, the way it ran. */
export function straightened(points: Shares): Partial<ElementOf<"line">> {
  const [first, last] = [points[0]!, points[points.length - 1]!];
  const rising = (last[0] - first[0]) * (last[1] - first[1]) < 0;
  return { points: undefined, smooth: undefined, slope: rising ? "up" : undefined };
}

/** Places on the page of shares of a box, and back. A box without width or height has all its places in one. */
export const onPage = (points: Shares, box: Rectangle): Places =>
  points.map(([x, y]) => [box[0] + x * box[2], box[1] + y * box[3]]);

/** The box about places, with the places as shares of it. */
export function boxed(places: Places): { box: Rectangle; points: Shares } {
  const xs = places.map(([x]) => x),
    ys = places.map(([, y]) => y);
  const [left, top] = [Math.min(...xs), Math.min(...ys)];
  const [width, height] = [Math.max(...xs) - left, Math.max(...ys) - top];
  return {
    box: [left, top, width, height],
    points: places.map(([x, y]) => [
      width > 0 ? round((x - left) / width) : 0,
      height > 0 ? round((y - top) / height) : 0,
    ]),
  };
}

/**
 * A line drawn by hand with no more places than it takes to stay this near to it, in mm (Douglas and Peucker, 1973).
 */
export function thinned(places: Places, near: number): Places {
  if (places.length < 3) return places;
  const [first, last] = [places[0]!, places[places.length - 1]!];
  let farthest = 0,
    most = 0;
  for (let index = 1; index < places.length - 1; index++) {
    const off = distance(places[index]!, first, last);
    if (off > most) [farthest, most] = [index, off];
  }
  if (most <= near) return [first, last];
  return [...thinned(places.slice(0, farthest + 1), near).slice(0, -1), ...thinned(places.slice(farthest), near)];
}

function distance([x, y]: [number, number], [x1, y1]: [number, number], [x2, y2]: [number, number]): number {
  const length = Math.hypot(x2 - x1, y2 - y1);
  if (length === 0) return Math.hypot(x - x1, y - y1);
  return Math.abs((x2 - x1) * (y1 - y) - (x1 - x) * (y2 - y1)) / length;
}
