import { expect, test } from "vitest";
import { onShelf } from "./onShelf";

const book = (
  id: number,
  title: string,
  subtitle: string,
  opened_at: string | null,
  changed_at: string,
  sheets = 1,
) => ({
  id,
  title,
  subtitle,
  opened_at,
  changed_at,
  sheets,
  revision: 1,
});

const books = [
  book(1, "Skarrow Moss", "Dams", null, "2026-12-01T10:00:00Z", 27),
  book(2, "Åsen 10", "Trails", "2026-12-02T08:00:00Z", "2026-11-01T10:00:00Z", 3),
  book(3, "Åsen 9", "Dams", "2026-12-02T09:00:00Z", "2026-11-03T10:00:00Z", 27),
];
const ids = (search: string, sort: Parameters<typeof onShelf>[2]) => onShelf(books, search, sort).map(({ id }) => id);

test("books are found by all words of title and subtitle, without accents or capitals", () => {
  expect(ids("", "made")).toEqual([1, 2, 3]);
  expect(ids(" asen  DAMS ", "made")).toEqual([3]);
  expect(ids("moss trails", "made")).toEqual([]);
});

test("the one opened or changed last is first, one never opened last; numbers in titles count as numbers", () => {
  expect(ids("", "opened")).toEqual([3, 2, 1]);
  expect(ids("", "changed")).toEqual([1, 3, 2]);
  expect(ids("", "title")).toEqual([3, 2, 1]);
  expect(ids("", "sheets")).toEqual([3, 1, 2]);
});
