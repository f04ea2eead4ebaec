import { expect, test } from "vitest";
import type { Book } from "../api/types";
import { partsOf } from "./parts";

const book = (more: object = {}, cells: object[] = [{ id: 7, number: 1, name: "A1" }]) =>
  ({
    document: { layout: { a: 1 }, layers: [{ id: "moss", title: "Moss" }], index: { scale: 1 }, ...more },
    cells,
  }) as unknown as Book;
const then = book();
const fresh = { layers: [{ id: "moss", title: "Moss", version: 3 }] };

test("what is the same, or its data alone are newer, is not offered", () => {
  expect(partsOf(then, book(fresh), 1)).toEqual([]);
});

test("what differs of the book as it was is offered, to be taken", () => {
  const today = book({ ...fresh, layout: { a: 2 } }, [{ id: 7, number: 1, name: "B9" }]);
  expect(partsOf(then, today, 1).map(({ title }) => title)).toEqual([
    "Design of the sheets",
    "Sheet A1 alone",
    "Index with all its cells",
  ]);
});

test("so is a layer that has gone", () => {
  expect(partsOf(then, book({ layers: [] }), null).at(-1)).toEqual({ part: "layer", id: "moss", title: "Layer Moss" });
});
