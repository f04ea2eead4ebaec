// From mm of a page to the ground: x' = a x + c y + e, y' = b x + d y + f.
export type ToGround = readonly [number, number, number, number, number, number];
export type Place = [number, number];

// To a thousandth, as the document has places.
export const round = (value: number) => Math.round(value * 1000) / 1000;

export const toGround = ([a, b, c, d, e, f]: ToGround, [x, y]: Place): Place => [
  round(a * x + c * y + e),
  round(b * x + d * y + f),
];

export function toPage([a, b, c, d, e, f]: ToGround, [x, y]: Place): Place {
  const det = a * d - b * c;
  return [(d * (x - e) - c * (y - f)) / det, (a * (y - f) - b * (x - e)) / det];
}
