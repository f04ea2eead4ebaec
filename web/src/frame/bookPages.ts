import type { Book, BookPage, Cell } from "../api/types";

// One page of the book: a sheet, or one beside the sheets.
export type PageOfBook = { number: number; name: string } & (
  { cell: Cell; page?: undefined } | { cell?: undefined; page: BookPage }
);

/** How many there are. */
export const pageCount = (book: Book) => book.cells.length + book.pages.length;

/** The page at a place, from 0. Sheets stand in their order, the others between them as the server says. */
export function pageAt(book: Book, place: number): PageOfBook | undefined {
  const page = book.pages.find((known) => known.position === place + 1);
  if (page) return { number: page.number, name: page.name, page };
  const before = book.pages.filter((known) => known.position <= place).length;
  const cell = book.cells[place - before];
  return cell && { number: cell.number, name: cell.name, cell };
}

/** The place of a page by its number, from 0; -1 where it is not there. */
export function placeOf(book: Book, number: number): number {
  if (number <= 0) return (book.pages.find((known) => known.number === number)?.position ?? 0) - 1;
  if (number > book.cells.length) return -1;
  return number - 1 + book.pages.filter((known) => known.after < number).length;
}
