import { expect, test } from "vitest";
import { asked, orNone, within } from "./limits";
import { unitOf } from "./unitOf";

test("a limit belongs to what it bounds, but for one that must be exceeded", () => {
  expect([0, 100, -0.001, 100.001].map((number) => within(number, { least: 0, most: 100 }))).toEqual([
    true,
    true,
    false,
    false,
  ]);
  expect([0, 1e-6, 20].map((number) => within(number, { above: 0, most: 20 }))).toEqual([false, true, true]);
});

test("what is counted is whole, and nothing is without end", () => {
  expect([2, 2.5].map((number) => within(number, { least: 1, whole: true }))).toEqual([true, false]);
  expect([Infinity, NaN].map((number) => within(number, { least: 0 }))).toEqual([false, false]);
});

test("what is to be entered is said with the limits and the unit", () => {
  expect(asked({ least: 0, most: 50 }, " mm")).toBe("Enter a value from 0 to 50 mm.");
  expect(asked({ above: 0, most: 1000 }, " pt")).toBe("Enter a value greater than 0, up to 1,000 pt.");
  expect(asked({ least: 1, most: 12, whole: true })).toBe("Enter a whole number from 1 to 12.");
  expect(asked({ least: -1e9, most: 1e9 })).toBe("Enter a value from −1,000,000,000 to 1,000,000,000.");
  expect([asked({ least: 3 }), asked({ most: 3 }), asked({}), asked({ above: 0 }, " m")]).toEqual([
    "Enter a value of at least 3.",
    "Enter a value up to 3.",
    "Enter a value.",
    "Enter a value greater than 0 m.",
  ]);
});

test("a line that need not be there may be of no width", () => {
  expect(orNone({ above: 0, most: 100 })).toEqual({ least: 0, most: 100 });
  expect(orNone({ least: 2, most: 3 })).toEqual({ least: 2, most: 3 });
});

test("a label names its unit behind the comma", () => {
  expect(["Width, mm", "Rotation, ° clockwise", "Line height", "Walk, km/h", "Name, in short"].map(unitOf)).toEqual([
    " mm",
    "°",
    "",
    " km/h",
    "",
  ]);
});
