import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { useBook } from "../api/book";
import { get, post } from "../api/client";
import type { Grid, Grids, GridWords } from "../api/types";

// What the grids of a sheet's frame come to; sheet 0 is the index sheet.
export function useGrids(sheet: number | null) {
  const book = useBook();
  return useQuery({
    queryKey: ["grids", book.id, book.revision, sheet],
    queryFn: ({ signal }) => get<Grids>(`/api/books/${book.id}/sheets/${sheet!}/grids`, signal),
    enabled: sheet !== null,
    placeholderData: keepPreviousData,
  });
}

export interface Tried extends Omit<GridWords, "id"> {
  svg: string | null;
}

const PAUSE_MS = 150;

// A grid as it is being set, before it is kept: its words, and its lines as ghosts for the page.
export function useGridTrial(sheet: number | null, grid: Grid | null) {
  const book = useBook();
  const [settled, setSettled] = useState<Grid | null>(null);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(grid), grid ? PAUSE_MS : 0);
    return () => clearTimeout(timer);
  }, [grid]);
  const tried = useQuery({
    queryKey: ["grid-trial", book.id, book.revision, sheet, settled],
    queryFn: ({ signal }) =>
      post<Tried>(`/api/books/${book.id}/sheets/${sheet!}/grids/try`, { grid: settled }, { signal }),
    enabled: sheet !== null && !!settled,
    placeholderData: keepPreviousData,
    retry: false,
  });
  return grid && settled ? tried : null;
}
