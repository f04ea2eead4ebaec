import { expect, test } from "vitest";
import { limits } from "../generated/limits";
import { written } from "../numbers/written";
import { asked, orNone, readWithin, within, type Limits } from "./limits";
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

// What a number counts in, by the end of its name in the book document.
const ENDS: Record<string, string> = { mm: " mm", pt: " pt", deg: "°", ppi: " ppi", px: " px", kmh: " km/h" };

test("every number of the book document can be typed as it is shown, with its unit and without", () => {
  const lost: string[] = [];
  for (const [part, members] of Object.entries(limits) as [string, Record<string, Limits>][])
    for (const [name, own] of Object.entries(members)) {
      const unit = ENDS[name.split("_").pop()!] ?? "";
      const [low, high] = [own.least ?? own.above ?? -1e6, own.most ?? 1e6];
      const between = [0.25, 0.5, 1 / 3].map((share) => Number((low + (high - low) * share).toFixed(3)));
      for (const value of [low, high, 0, 1, 1189, -1189.5, ...between].filter((number) => within(number, own)))
        for (const text of [written(value), `${written(value)}${unit}`])
          if (readWithin(text, own, unit) !== value) lost.push(`${part}.${name}: ${text}`);
    }
  expect(lost).toEqual([]);
});
