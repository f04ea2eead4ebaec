import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { useBook } from "../api/book";
import { get, post } from "../api/client";
import type { Grid, Grids } from "../api/types";
import type { GridTried as Tried } from "../generated/answers";

export type { Tried };

/** What the grids of a page's frame come to. */
export function useGrids(sheet: number | null, frame: string | undefined) {
  const book = useBook();
  return useQuery({
    queryKey: ["grids", book.id, book.revision, sheet, frame],
    queryFn: ({ signal }) => get<Grids>(`/api/books/${book.id}/sheets/${sheet!}/grids?frame=${frame!}`, signal),
    enabled: sheet !== null && frame !== undefined,
    placeholderData: keepPreviousData,
    retry: false,
  });
}

const PAUSE_MS = 150;

/** A grid as it is being set, before it is kept: its words, and its lines as ghosts for the page. */
export function useGridTrial(sheet: number | null, frame: string, grid: Grid | null) {
  const book = useBook();
  const [settled, setSettled] = useState<Grid | null>(null);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(grid), grid ? PAUSE_MS : 0);
    return () => clearTimeout(timer);
  }, [grid]);
  const tried = useQuery({
    queryKey: ["grid-trial", book.id, book.revision, sheet, frame, settled],
    queryFn: ({ signal }) =>
      post<Tried>(`/api/books/${book.id}/sheets/${sheet!}/grids/try`, { grid: settled, frame }, { signal }),
    enabled: sheet !== null && !!settled,
    placeholderData: keepPreviousData,
    retry: false,
  });
  return grid && settled ? tried : null;
}
