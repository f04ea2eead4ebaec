import { expect, test } from "vitest";
import { readGround, readOverlap } from "./words";

test("a ground length is a number and a unit, as it is shown or typed", () => {
  expect(["50", "50 m", "1,200 m", "1.5km", "1 1/4 mi", "200 us-ft", "0,5 nmi"].map(readGround)).toEqual([
    "50 m",
    "50 m",
    "1200 m",
    "1.5 km",
    "1.25 mi",
    "200 us-ft",
    "0.5 nmi",
  ]);
  expect(["", "far", "-5 m", "5 %", "5 furlongs"].map(readGround)).toEqual([null, null, null, null, null]);
});

test("an overlap is one for both ways, or one for each", () => {
  expect(["8", "5 %", "1,200 m", "8 mm; 5 mm"].map(readOverlap)).toEqual([
    { x: "8 mm", y: "8 mm" },
    { x: "5 %", y: "5 %" },
    { x: "1200 m", y: "1200 m" },
    { x: "8 mm", y: "5 mm" },
  ]);
  expect(["", "8; 5; 3", "8; x"].map(readOverlap)).toEqual([null, null, null]);
});
