import { expect, test } from "vitest";
import { bentAgain, boxed, thinned } from "./bends";

// By hand: a straight row of places needs its two ends alone; a corner stays.
test("a line by hand has no more places than it needs", () => {
  const places: [number, number][] = [
    [0, 0],
    [1, 0.1],
    [2, 0],
    [3, 0.1],
    [4, 0],
    [4, 4],
  ];
  expect(thinned(places, 0.25)).toEqual([
    [0, 0],
    [4, 0],
    [4, 4],
  ]);
});

test("it lies in a box round its places", () => {
  const places: [number, number][] = [
    [10, 20],
    [30, 20],
    [30, 60],
  ];
  expect(boxed(places)).toEqual({
    box: [10, 20, 20, 40],
    points: [
      [0, 0],
      [1, 0],
      [1, 1],
    ],
  });
});

test("a straight one that is bent gets a place in its middle", () => {
  expect(bentAgain(undefined, "up")).toEqual([
    [0, 1],
    [0.5, 0.5],
    [1, 0],
  ]);
});
