import { useCallback } from "react";
import { useBook } from "../api/book";
import type { BookPage, Cell } from "../api/types";
import { useAddress } from "../api/useAddress";
import { pageAt, pageCount, placeOf } from "./bookPages";

/**
 * The page that is looked at: part of the address, so that a reload or a second tab shows the same. number: of a sheet
 * its place among the sheets; 0 for the index sheet and less for other pages, which have no cell. place: in the book,
 * from 0.
 */
export function useSheet(): {
  cell: Cell | undefined;
  page: BookPage | undefined;
  number: number | null;
  place: number;
  go: (number: number) => void;
  step: (by: number) => void;
} {
  const book = useBook();
  const { search, change } = useAddress();
  const wanted = Number(search.get("sheet") ?? 1);
  const page = book.pages.find((known) => known.number === wanted);
  const cell = page ? undefined : (book.cells.find((known) => known.number === wanted) ?? book.cells[0]);
  const number = page?.number ?? cell?.number ?? null;
  const place = number === null ? -1 : placeOf(book, number);
  const go = useCallback((number: number) => change(() => ({ sheet: String(number) })), [change]);
  const step = useCallback(
    (by: number) => {
      if (number === null) return;
      const next = pageAt(book, Math.min(Math.max(place + by, 0), pageCount(book) - 1));
      if (next && next.number !== number) go(next.number);
    },
    [book, number, place, go],
  );
  return { cell, page, number, place, go, step };
}
