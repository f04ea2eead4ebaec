import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useBook } from "../api/book";
import { get } from "../api/client";
import { GridTold } from "../grids/GridList";
import { useLayout } from "./layout";

// What a scale bar or a north arrow comes to on the sheet that is shown.
export function Told({ id }: { id: string }) {
  const book = useBook();
  const { sheet } = useLayout();
  const told = useQuery({
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
    <div role="status">{told.data && <GridTold sentence={told.data.sentence} warnings={told.data.warnings} />}</div>
  );
}
