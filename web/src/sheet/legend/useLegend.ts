import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { createContext, useContext } from "react";
import { useBook } from "../../api/book";
import { get } from "../../api/client";
import { useLayout } from "../layout";
import type { RowShown } from "./rows";

export interface LegendShown {
  rows: RowShown[];
  // Of a legend by hand: what of the map it does not list.
  addable: { key: string; title: string; layer: string }[];
  told: string[];
  count: number;
  fitting: number;
  columns: number;
  size_pt: number;
}

// A legend's rows as they stand on the sheet that is shown.
export function useLegend(id: string) {
  const book = useBook();
  const { sheet } = useLayout();
  return useQuery({
    queryKey: ["legend", book.id, book.revision, sheet, id],
    queryFn: ({ signal }) =>
      get<LegendShown>(`/api/books/${book.id}/sheets/${sheet!}/legends/${encodeURIComponent(id)}`, signal),
    enabled: sheet !== null,
    placeholderData: keepPreviousData,
  });
}

// The row that is edited, on the page and in the card alike; null for none.
export interface PickedRow {
  row: number | null;
  pick: (row: number | null) => void;
}
export const PickedRowContext = createContext<PickedRow>({ row: null, pick: () => undefined });
export const usePickedRow = () => useContext(PickedRowContext);
