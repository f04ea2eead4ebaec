import { expect, test } from "vitest";
import type { Rectangle } from "../api/types";
import { aligned, distributed, resized } from "./boxes";

const page: Rectangle = [0, 0, 200, 100];

test("a handle draws its sides, keeps the proportion when asked, and never turns a box inside out", () => {
  const box: Rectangle = [10, 10, 40, 20];
  expect(resized(box, { x: 1, y: 0 }, 5, 99, false)).toEqual([10, 10, 45, 20]);
  expect(resized(box, { x: -1, y: -1 }, 4, 6, false)).toEqual([14, 16, 36, 14]);
  expect(resized(box, { x: 1, y: 1 }, 20, 1, true)).toEqual([10, 10, 60, 30]);
  expect(resized(box, { x: -1, y: 0 }, 100, 0, false)).toEqual([49.5, 10, 0.5, 20]);
});

test("boxes line up on a side of all of them, a single one on the margins", () => {
  const two = { a: [0, 0, 10, 10], b: [30, 20, 20, 5] } satisfies Record<string, Rectangle>;
  expect(aligned(two, "right", page)).toEqual({ a: [40, 0, 10, 10], b: [30, 20, 20, 5] });
  expect(aligned(two, "middle", page)).toEqual({ a: [0, 7.5, 10, 10], b: [30, 10, 20, 5] });
  expect(aligned({ a: [3, 3, 10, 10] }, "centre", [20, 0, 100, 50])).toEqual({ a: [65, 3, 10, 10] });
});

test("neighbours get the same gap, and the outermost stay where they are", () => {
  expect(distributed({ a: [0, 0, 10, 1], c: [90, 0, 10, 1], b: [15, 0, 20, 1] }, 0)).toEqual({
    a: [0, 0, 10, 1],
    b: [40, 0, 20, 1],
    c: [90, 0, 10, 1],
  });
  const two = { a: [0, 0, 10, 1], b: [15, 0, 20, 1] } satisfies Record<string, Rectangle>;
  expect(distributed(two, 0)).toEqual(two);
});
