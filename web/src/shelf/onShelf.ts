import type { BookListed } from "../generated/answers";
import { t } from "../texts/t";

/** How the shelf can be sorted, each with its title. */
export const SORTS = [
  ["opened", t("last opened")],
  ["changed", t("last changed")],
  ["title", t("title")],
  ["sheets", t("number of sheets")],
  ["made", t("first made")],
] as const;

export type Sort = (typeof SORTS)[number][0];

const byTitle = new Intl.Collator(undefined, { numeric: true, sensitivity: "base" }).compare;
// The later first; what never happened comes last. Both are in UTC, so that they compare as texts.
const later = (one: string | null, other: string | null) => (other ?? "").localeCompare(one ?? "");

const ORDERS: Record<Sort, (one: BookListed, other: BookListed) => number> = {
  opened: (one, other) => later(one.opened_at, other.opened_at),
  changed: (one, other) => later(one.changed_at, other.changed_at),
  title: (one, other) => byTitle(one.title, other.title),
  sheets: (one, other) => other.sheets - one.sheets,
  made: (one, other) => one.id - other.id,
};

const plain = (text: string) => text.normalize("NFD").replace(/\p{M}/gu, "").toLowerCase();

/** Books whose title or subtitle has every word of a search, whatever its accents and capitals, in an order. */
export function onShelf(books: readonly BookListed[], search: string, sort: Sort): BookListed[] {
  const words = plain(search).split(/\s+/).filter(Boolean);
  return books
    .filter((book) => words.every((word) => plain(`${book.title} ${book.subtitle}`).includes(word)))
    .toSorted((one, other) => ORDERS[sort](one, other) || byTitle(one.title, other.title) || one.id - other.id);
}
