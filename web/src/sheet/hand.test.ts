import { expect, test } from "vitest";
import { EMPTY, moved, type Move } from "./hand";

const after = (...moves: Move[]) => moves.reduce(moved, EMPTY);
const select = (...ids: string[]): Move => ({ do: "select", ids });
const line: Move = { do: "line", on: true };
const row = { do: "row", row: "note 1", beside: true } as Move;

test("what is drawn and picked in an element stays while that is selected, and no longer", () => {
  expect(after(select("a"), line, row, select("a"))).toMatchObject({ line: true, row: "note 1", beside: true });
  expect(after(select("a"), line, row, select("b"))).toMatchObject({ ids: ["b"], line: false, row: null });
  expect(after(line, row)).toMatchObject({ at: "page" });
});

test("cards are left by selecting, by going back, and a new page by neither", () => {
  expect(after({ do: "designs" }, select("a"), select())).toMatchObject({ at: "page" });
  expect(after({ do: "new page" }, select())).toMatchObject({ at: "new page" });
  expect(after({ do: "designs" }, { do: "back" })).toMatchObject({ at: "page" });
});

test("a detail is drawn on whatever is looked at", () => {
  expect(after({ do: "detail", on: true }, select("a"), { do: "page" })).toEqual({ at: "page", detail: true });
});
