import { count } from "../api/words";
import type { BookBinned, BookListed } from "../generated/answers";

/** "Dam inspection, spring · 27 sheets" */
export const summary = (book: BookListed | BookBinned) =>
  [book.subtitle, count(book.sheets, "sheet")].filter(Boolean).join(" · ");
