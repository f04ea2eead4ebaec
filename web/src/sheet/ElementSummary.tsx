import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useBook } from "../api/book";
import { get } from "../api/client";
import { GridSummary } from "../grids/GridList";
import { useLayout } from "./layout";

/** What a scale bar or a north arrow comes to on the sheet that is shown. */
export function ElementSummary({ id }: { id: string }) {
  const book = useBook();
  const { sheet } = useLayout();
  const summary = useQuery({
    queryKey: ["measured", book.id, book.revision, sheet, id],
    queryFn: ({ signal }) =>
      get<{ sentence: string; warnings: string[] }>(
        `/api/books/${book.id}/sheets/${sheet!}/measured/${encodeURIComponent(id)}`,
        signal,
      ),
    enabled: sheet !== null,
    placeholderData: keepPreviousData,
  });
  return (
    <div role="status">
      {summary.data && <GridSummary sentence={summary.data.sentence} warnings={summary.data.warnings} />}
    </div>
  );
}
