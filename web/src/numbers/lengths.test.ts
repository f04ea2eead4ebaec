import { expect, test } from "vitest";
import { readLength, readLengthIn, shown, type PaperUnit } from "./lengths";

// By hand: an inch is 25.4 mm, a point 1/72 inch.
test.each<[string, PaperUnit, number]>([
  ["12.5", "mm", 12.5],
  ["297/2", "mm", 148.5],
  ["(210-20)/4+1", "mm", 48.5],
  ["2 in", "mm", 50.8],
  ["1", "in", 25.4],
  ["72 pt", "in", 25.4],
  ["12,5", "mm", 12.5],
  ["-3*2", "mm", -6],
  ["1+2*3", "mm", 7],
  ["1,189", "mm", 1189],
  ["1,189 mm", "mm", 1189],
  ["1,189/2", "mm", 594.5],
  ["6 in", "mm", 152.4],
  ["1 1/4 in", "mm", 31.75],
  ["−2", "mm", -2],
])("“%s” counted in %s is %d mm", (text, unit, mm) => {
  expect(readLength(text, unit)).toBe(mm);
});

test.each(["", "two", "1/0", "3+", "(3", "3 ft", "alert(1)", "3 4"])("“%s” is no length", (text) => {
  expect(readLength(text, "mm")).toBeNull();
});

test("a length is shown in each unit without a tail of noughts", () => {
  expect([shown(25.4, "in"), shown(25.4, "pt"), shown(12.3456, "mm")]).toEqual(["1", "72", "12.35"]);
});

test("a length is counted in the unit that is shown, and one in it stays as it was typed", () => {
  expect([readLengthIn("7.1", "pt"), readLengthIn("25.4 mm", "in"), readLengthIn("1 in", "pt")]).toEqual([7.1, 1, 72]);
});
