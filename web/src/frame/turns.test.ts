import { expect, test } from "vitest";
import { Turns } from "./turns";

// Small pictures must not keep what somebody looks at waiting.
test("so many begin at once, the others as turns end or are given up", () => {
  const turns = new Turns(2);
  const begun: number[] = [];
  const ends = [1, 2, 3, 4, 5].map((number) => turns.take(() => begun.push(number)));
  expect(begun).toEqual([1, 2]);
  ends[2]!();
  ends[0]!();
  expect(begun).toEqual([1, 2, 4]);
  ends[0]!();
  expect(begun).toEqual([1, 2, 4]);
  ends[1]!();
  expect(begun).toEqual([1, 2, 4, 5]);
});
