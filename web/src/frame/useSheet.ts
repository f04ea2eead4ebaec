import { useCallback } from "react";
import { useSearchParams } from "react-router";
import { useBook } from "../api/book";
import type { Cell } from "../api/types";

// The sheet that is looked at: part of the address, so that a reload or a second tab shows the same.
// number: its place in the book, 0 for the index sheet, which has no cell.
export function useSheet(): {
  cell: Cell | undefined;
  number: number | null;
  first: number;
  go: (number: number) => void;
  step: (by: number) => void;
} {
  const book = useBook();
  const [search, setSearch] = useSearchParams();
  const wanted = Number(search.get("sheet") ?? 1);
  const first = book.document.index_layout ? 0 : 1;
  const cell =
    wanted === 0 && first === 0 ? undefined : (book.cells.find((known) => known.number === wanted) ?? book.cells[0]);
  const number = wanted === 0 && first === 0 ? 0 : (cell?.number ?? null);
  const go = useCallback(
    (number: number) => {
      setSearch(
        (old) => {
          const fresh = new URLSearchParams(old);
          fresh.set("sheet", String(number));
          return fresh;
        },
        { replace: true },
      );
    },
    [setSearch],
  );
  const step = useCallback(
    (by: number) => {
      if (number === null) return;
      const place = Math.min(Math.max(number + by, first), book.cells.length);
      if (place !== number) go(place);
    },
    [book.cells.length, number, first, go],
  );
  return { cell, number, first, go, step };
}
