import { expect, test } from "vitest";
import { alone, joined, type OwnChanges } from "./ownChanges";

const chain = (...changes: [number, number][]) =>
  changes.reduce<OwnChanges | null>((own, [since, revision]) => joined(own, since, revision), null);

test("changes are one hand’s as long as each was made on what the one before it led to", () => {
  const mine = chain([3, 4], [4, 5]);
  expect(mine).toEqual({ from: 3, to: 5 });
  expect(alone(mine, 3, 5)).toBe(true);
  expect(alone(mine, 2, 5)).toBe(false);
  expect(alone(mine, 3, 6)).toBe(false);
});

test("they are not where somebody else made one between", () => {
  expect(alone(chain([3, 4], [5, 6]), 3, 6)).toBe(false);
  expect(alone(null, 3, 3)).toBe(false);
});
