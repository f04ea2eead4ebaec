import { expect, test } from "vitest";
import { groundSaid } from "./groundSaid";

test("it is said how the drawing of a map stands", () => {
  expect(groundSaid({ kind: "drawn" })).toBeNull();
  expect(groundSaid({ kind: "waiting", seconds: 3 })).toBe("Drawing the map … 3 s");
  expect(groundSaid({ kind: "more" })).toMatch(/still being drawn/);
  expect(groundSaid({ kind: "failed" })).toMatch(/could not be drawn; move it/);
});
