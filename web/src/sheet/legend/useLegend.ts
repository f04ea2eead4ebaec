import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useBook } from "../../api/book";
import type { LegendRow } from "../../api/types";
import { get } from "../../api/client";
import { useHand } from "../hand";
import { useLayout } from "../layout";
import { keysOfRows, type RowShown } from "./rows";
import type { LegendShown } from "../../generated/answers";
import { t } from "../../texts/t";

export type { LegendShown };

/** A legend's rows as they stand on the sheet that is shown. */
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

/** Rows are changed only as they stand now: what was drawn before the last change would take it back. */
export function demandFresh(legend: { isPlaceholderData: boolean }) {
  if (legend.isPlaceholderData) throw new Error(t("The legend is being redrawn; make the change again."));
}

/** The row of the legend that is edited, by its place among the rows, which may be another after each change. */
export function usePickedRow(rows: RowShown[]) {
  const { hand, move } = useHand();
  const [row, beside] = hand.at === "elements" ? [hand.row, hand.beside] : [null, false];
  const pick = (row: string | null, beside = false) => move({ do: "row", row, beside });
  const keys = keysOfRows(rows);
  const place = row === null ? -1 : keys.indexOf(row);
  return {
    picked: place < 0 ? null : place,
    beside,
    // One that is just put in at a place.
    pickPut: (index: number, fresh: LegendRow) =>
      pick(keysOfRows([...rows.slice(0, index), { row: fresh }, ...rows.slice(index)])[index] ?? null),
    pick: (index: number | null, onPage = false) => pick(index === null ? null : (keys[index] ?? null), onPage),
  };
}
