import { expect, test } from "vitest";
import { identified } from "./entryIds";

const one = { id: "row-1", kind: "note", text: "a" };
const other = { id: "row-2", kind: "note" };
const legend = (...rows: object[]) => ({ layout: { elements: [{ id: "key", rows }] } });
const ids = (...rows: object[]) =>
  identified(legend(...rows), legend(one, other) as never).layout.elements[0]!.rows.map(
    (row) => (row as { id: string }).id,
  );

const FRESH = expect.stringMatching(/^n[a-z0-9]{5,}$/) as string;

test("a new entry gets an id that nobody else has", () => {
  expect(ids(one, other, { kind: "heading" })).toEqual(["row-1", "row-2", FRESH]);
  expect(ids(one, one, other)).toEqual(["row-1", FRESH, "row-2"]);
});

test("entries that lost theirs are known again by what they are, else by their place", () => {
  expect(ids({ kind: "note" }, { kind: "note", text: "a" })).toEqual(["row-2", "row-1"]);
  expect(ids({ kind: "heading" }, other)).toEqual(["row-1", "row-2"]);
});

test("a list whose entries nobody can tell apart is left alone", () => {
  expect(identified({ tabs: [{ at: 1 }] }, {})).toEqual({ tabs: [{ at: 1 }] });
});
