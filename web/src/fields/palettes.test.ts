import { expect, test } from "vitest";
import { RAMPS, colours } from "./palettes";

// Cynthia Brewer's YlGnBu in three classes, from her table.
const THREE = ["#edf8b1", "#7fcdbb", "#2c7fb8"];

test("a palette gives its colours, reversed, and fewer than it starts with", () => {
  expect(colours("YlGnBu", 3)).toEqual(THREE);
  expect(colours("YlGnBu", 3, true)).toEqual([...THREE].reverse());
  expect(colours("YlGnBu", 2)).toEqual(THREE.slice(1));
});

test("a palette gives more than it ends with", () => {
  expect(colours("Dark2", 10)).toHaveLength(10);
  expect(RAMPS.map((name) => colours(name, 12).length)).toEqual(RAMPS.map(() => 12));
});
