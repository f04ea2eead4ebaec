import { expect, test } from "vitest";
import { readAngle, readIn, readNumber, readScale, twofold } from "./read";
import { written } from "./written";

// Conventions of the trade and of ISO 80000-1 (groups of three; comma or point as the decimal sign), read by hand.
test.each<[string, number]>([
  ["402 265.1", 402_265.1],
  ["402 265.1", 402_265.1],
  ["1,189", 1189],
  ["1,189.5", 1189.5],
  ["12,345,678", 12_345_678],
  ["1,5", 1.5],
  ["12,25", 12.25],
  ["0,125", 0.125],
  ["1234,567", 1234.567],
  ["1.189", 1.189],
  ["1.189,5", 1189.5],
  ["1.189.000", 1_189_000],
  ["1 189,5", 1189.5],
  ["−31.24", -31.24],
  ["- 3", -3],
  ["+3", 3],
  [".5", 0.5],
  ["1 1/4", 1.25],
  ["-3/4", -0.75],
])("“%s” is the number %d", (text, number) => {
  expect(readNumber(text)).toBe(number);
});

test.each(["", " ", "two", "1,18,9", "1,1895,000", "3 4", "1 / 0", "1e3", "0x10", "--3", "1,189 5", "Infinity"])(
  "“%s” is no number",
  (text) => {
    expect(readNumber(text)).toBeNull();
  },
);

test("what is shown can be typed back", () => {
  const shown = [0, -0.5, 1000, 1189, -12_500.25, 402_265.074, 1e9, 0.1 + 0.2, 0.001];
  expect(shown.map((value) => readNumber(written(value)))).toEqual(shown.map((value) => Number(value.toFixed(12))));
  expect([-12_500.25, 1e9].map(written)).toEqual(["−12,500.25", "1,000,000,000"]);
});

test("a comma before three digits could be a decimal sign", () => {
  expect(["1,189", "−12,500", "1,18", "0,125", "1,189.5", "1,189,000"].map(twofold)).toEqual([
    true,
    true,
    false,
    false,
    false,
    false,
  ]);
});

test("a scale is its denominator", () => {
  expect(["1:2,500", "1 : 2 500", "2500", "1/2500", "1:1,000.5", "house"].map(readScale)).toEqual([
    2500,
    2500,
    2500,
    2500,
    1000.5,
    null,
  ]);
});

// 40′ are two thirds of a degree, 53′10″ are 3190 of 3600 seconds.
test.each<[string, number]>([
  ["10°40′W", -(10 + 2 / 3)],
  ["58° 53′ 10″ N", 58 + 3190 / 3600],
  ["58°53'10\"", 58 + 3190 / 3600],
  ["58°53'10''S", -(58 + 3190 / 3600)],
  ["10.5° W", -10.5],
  ["−31.24", -31.24],
  ["12°", 12],
  ["7,5 °", 7.5],
])("“%s” are %d degrees", (text, degrees) => {
  expect(readAngle(text)).toBeCloseTo(degrees, 12);
});

test.each(["10°60′", "10°40″", "north", "10°40′X", "10 40"])("“%s” is no angle", (text) => {
  expect(readAngle(text)).toBeNull();
});

test("a number may have its unit behind it, and no other", () => {
  expect([readIn("12 %", " %"), readIn("4 km/h", " km/h"), readIn("10°30′", "°"), readIn("12", " pt")]).toEqual([
    12, 4, 10.5, 12,
  ]);
  expect([readIn("12 pt", " %"), readIn("12 %", "")]).toEqual([null, null]);
});
