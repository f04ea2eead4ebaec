import type { ToGround } from "../generated/answers";

export type { ToGround };

export type Place = [number, number];

/** To a thousandth, as the document has places. */
export const round = (value: number) => Math.round(value * 1000) / 1000;

export const toGround = ([a, b, c, d, e, f]: ToGround, [x, y]: Place): Place => [
  round(a * x + c * y + e),
  round(b * x + d * y + f),
];

export function toPage([a, b, c, d, e, f]: ToGround, [x, y]: Place): Place {
  const det = a * d - b * c;
  return [(d * (x - e) - c * (y - f)) / det, (a * (y - f) - b * (x - e)) / det];
}
