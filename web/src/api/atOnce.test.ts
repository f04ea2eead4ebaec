import { expect, test } from "vitest";
import { atOnce, withWaiting, type Waiting } from "./atOnce";
import type { Operation } from "./operations";
import type { Book } from "./types";

const book = {
  revision: 4,
  document: { title: "Moss", layers: [{ id: "dams", title: "Dams" }], index: { scale: 2500 } },
} as unknown as Book;

const put = (path: string, value: unknown) => ({ op: "replace", path, value }) as Operation;

const titles = (...waiting: Partial<Waiting>[]) => {
  const { document } = withWaiting(book, waiting as Waiting[]);
  return [document.title, document.layers[0]!.title];
};

const one = { operations: [put("/title", "Bog"), put("/layers/dams/title", "Weirs")] };
const two = { operations: [put("/title", "Fen")] };

test("one’s own changes are shown at once, in their order, and go when they are refused", () => {
  expect(titles(one, two)).toEqual(["Fen", "Weirs"]);
  expect(titles(two)).toEqual(["Fen", "Dams"]);
});

test("those that the book has already are not done again", () => {
  expect(titles({ ...one, until: 4 }, { ...two, until: 5 })).toEqual(["Fen", "Dams"]);
});

test("what the server has to say first waits for it", () => {
  const operations = [
    { op: "add", path: "/layers/peat", value: { id: "peat" } },
    { op: "remove", path: "/layers/dams" },
    put("/layers", []),
    put("/layers/gone/title", "x"),
    { op: "test", path: "/title", value: "x" },
  ] as Operation[];
  expect(titles({ operations })).toEqual(["Moss", "Dams"]);
  expect(atOnce({ layers: [{ id: "a" }] }, [put("/layers/a/title", "x")])).toHaveLength(1);
});
