import { expect, test } from "vitest";
import type { Book } from "../api/types";
import { pageAt, pageCount, placeOf } from "./bookPages";

// Three sheets, an index sheet before them, a page before the second sheet, and one behind all, by hand.
const book = {
  cells: [1, 2, 3].map((number) => ({ number, name: `S${number}` })),
  pages: [
    { number: 0, name: "Index", position: 1, after: 0 },
    { number: -100, name: "Notes", position: 3, after: 1 },
    { number: -101, name: "Back", position: 6, after: 3 },
  ],
} as unknown as Book;

test("pages stand among the sheets in the order that the server gives", () => {
  const names = [0, 1, 2, 3, 4, 5, 6].map((place) => pageAt(book, place)?.name);
  expect(names).toEqual(["Index", "S1", "Notes", "S2", "S3", "Back", undefined]);
  expect(pageCount(book)).toBe(6);
});

test("the place of each is known, and of what is not there that it has none", () => {
  expect([0, 1, -100, 2, 3, -101, 9, -7].map((number) => placeOf(book, number))).toEqual([0, 1, 2, 3, 4, 5, -1, -1]);
});
