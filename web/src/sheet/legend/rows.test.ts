import { expect, test } from "vitest";
import type { LegendRow } from "../../api/types";
import { accepted, joined, merged, moved, placeAt, split, titled, type RowShown } from "./rows";

const rows = [
  { kind: "entry", of: ["l/a"] },
  { kind: "entry", of: ["l/b"], title: "Bee" },
  { kind: "heading", title: "Head" },
  { kind: "entry", of: ["l/c"] },
] as LegendRow[];
const [a, b, head, c] = rows as [LegendRow, LegendRow, LegendRow, LegendRow];

const shown = (row: LegendRow, more: object = {}) =>
  ({ row, name: "", on_map: [], layers: ["L"], fresh: false, state: "here", steps: false, ...more }) as RowShown;
// The last is new on the map.
const list = [...rows.slice(0, 3).map((row) => shown(row)), shown(c, { fresh: true })];

test("a row moves, and what is new stays new", () => {
  expect(moved(list, 0, 3)).toEqual([b, head, a]);
  expect(accepted(list)).toEqual(rows);
});

test("rows are merged under the name that one has, and split", () => {
  expect(merged(list, 0, 1)).toEqual([{ kind: "entry", of: ["l/a", "l/b"], title: "Bee" }, head]);
  const both = shown({ kind: "entry", of: ["l/a", "l/b"], title: "x" } as LegendRow);
  expect(split([both], 0)).toEqual([
    { kind: "entry", of: ["l/a"] },
    { kind: "entry", of: ["l/b"] },
  ]);
});

test("steps of one colour ramp are joined over what lies between", () => {
  const steps = [shown(a, { steps: true }), shown(head), shown(c, { steps: true })];
  expect(joined(steps, 2)).toEqual([{ kind: "steps", of: ["l/a", "l/c"] }, head]);
});

test("a row has its own title, until it is what the map says", () => {
  expect(titled(b, " Sea ", ["b"])).toMatchObject({ title: "Sea" });
  expect(titled(b, "b", ["b"])).toEqual({ kind: "entry", of: ["l/b"] });
});

test("the place where a row is let go is between those that are drawn", () => {
  const boxes = [[10, 10, 40, 5], undefined, [10, 15, 40, 5], [60, 10, 40, 5]];
  const drawn = boxes.map((box) => shown(a, box && { box }));
  const places: [number, number][] = [
    [20, 11],
    [20, 14],
    [20, 19],
    [70, 30],
  ];
  expect(places.map(([x, y]) => placeAt(drawn, x, y))).toEqual([0, 1, 3, 4]);
  expect(placeAt([], 1, 1)).toBeNull();
});
