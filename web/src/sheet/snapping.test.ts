import { expect, test } from "vitest";
import { snapMove, snapSides, targets } from "./snapping";

// A page A4 with margins of 10 mm, and one box on it.
const to = targets([0, 0, 210, 297], [10, 10, 190, 277], [[50, 50, 20, 10]]);

test("an edge comes to the nearest edge, and the line is shown", () => {
  const found = snapMove([11, 100.2, 30, 10], to, 2, 0.5);
  expect(found).toEqual({ dx: -1, dy: expect.closeTo(-0.2, 9), guides: [{ axis: 0, at: 10 }] });
});

test("a middle comes to a middle", () => {
  const found = snapMove([44, 51, 31, 8.2], to, 1, 0.5);
  expect(found.dx).toBeCloseTo(0.5, 9);
  expect(found.guides).toEqual(
    expect.arrayContaining([
      { axis: 0, at: 60 },
      { axis: 1, at: 55 },
    ]),
  );
});

test("where nothing is near it keeps to the grid, and to nothing at all when it is asked not to snap", () => {
  expect(snapMove([100.3, 200.1, 7, 7], to, 0.1, 0.5)).toEqual({
    dx: expect.closeTo(0.2, 9),
    dy: expect.closeTo(-0.1, 9),
    guides: [],
  });
  expect(snapMove([10.4, 10.4, 7, 7], to, 0, 0)).toEqual({ dx: 0, dy: 0, guides: [] });
});

test("only the sides that a handle moves snap", () => {
  expect(snapSides([20, 20, 29.5, 5], { x: 1, y: 0 }, to, 1, 0.5)).toEqual({
    dx: 0.5,
    dy: 0,
    guides: [{ axis: 0, at: 50 }],
  });
});
