import { useCallback } from "react";
import { useSearchParams } from "react-router";
import { useBook } from "../api/book";
import type { Cell } from "../api/types";

// The sheet that is looked at: part of the address, so that a reload or a second tab shows the same.
export function useSheet(): { cell: Cell | undefined; go: (number: number) => void; step: (by: number) => void } {
  const book = useBook();
  const [search, setSearch] = useSearchParams();
  const wanted = Number(search.get("sheet") ?? 1);
  const cell = book.cells.find((known) => known.number === wanted) ?? book.cells[0];
  const go = useCallback((number: number) => {
    setSearch((old) => {
      const fresh = new URLSearchParams(old);
      fresh.set("sheet", String(number));
      return fresh;
    }, { replace: true });
  }, [setSearch]);
  const step = useCallback((by: number) => {
    if (!cell) return;
    const place = Math.min(Math.max(cell.number + by, 1), book.cells.length);
    if (place !== cell.number) go(place);
  }, [book.cells.length, cell, go]);
  return { cell, go, step };
}
