import { expect, test } from "vitest";
import type { FrameExtent } from "../../api/types";
import type { FramePlace } from "../../generated/answers";
import { groundWay, movedExtent, rescaledExtent } from "./moving";

// A frame at 1:1,000 turned by a quarter to the left, so that right on the page is north: 1 mm is 1 m.
const place = { x: 500, y: 900, scale: 1000, rotation_deg: 0, to_ground: [0, 1, 1, 0, 0, 0] } as unknown as FramePlace;

test("the ground of a frame goes with the hand, whatever the frame’s rotation", () => {
  expect(groundWay(place, [10, 3])).toEqual([-3, -10]);
});

test("a frame that followed the sheet stays where it is put", () => {
  const extent = { kind: "neighbours", rings: 2 } as FrameExtent;
  expect(movedExtent(extent, place, [10, 3])).toEqual({ kind: "fixed", x: 497, y: 890, scale: 1000 });
});

test("a detail that is four times as large moves by a quarter", () => {
  const extent = { kind: "detail", at_mm: [50, 40], times: 4 } as FrameExtent;
  expect(movedExtent(extent, place, [10, 4])).toMatchObject({ at_mm: [47.5, 39] });
});

test("one that follows the sheet is held at the scale that it is given", () => {
  const extent = { kind: "sheet", times: 3 } as FrameExtent;
  expect(rescaledExtent(extent, 7500, 5000)).toEqual({ kind: "sheet", times: 3, size: "held", scale: 5000 });
});
