import type { Book } from "../api/types";
import { t } from "../texts/t";

// A part of the book as it was that differs from today's and can be taken. id: of a layer or a cell.
export interface Part {
  part: string;
  id?: string | number;
  title: string;
}

const MEMBERS = [
  ["layout", t("Design of the sheets")],
  ["index_layout", t("Design of the index sheet")],
  ["index_pages", t("Parts of the index sheet")],
  ["pages", t("Pages beside the sheets")],
  ["notes", t("Notes")],
  ["labels_by_hand", t("Labels by hand")],
  ["looks", t("Looks")],
  ["orders", t("Export settings")],
  ["palette", t("Palette of inks")],
] as const;

const same = (one: unknown, other: unknown) => JSON.stringify(one) === JSON.stringify(other);

/** Those that differ; number: of the sheet that is looked at, in the book as it was. */
export function partsOf(then: Book, today: Book, number: number | null): Part[] {
  const members = MEMBERS.filter(([part]) => !same(then.document[part], today.document[part])).map(
    ([part, title]): Part => ({ part, title }),
  );
  const layers = then.document.layers
    .filter((layer) => {
      const now = today.document.layers.find((known) => known.id === layer.id);
      return !now || !same({ ...layer, version: 0 }, { ...now, version: 0 });
    })
    .map((layer): Part => ({ part: "layer", id: layer.id, title: t("Layer %{title}", { title: layer.title }) }));
  const index: Part[] =
    same(then.document.index, today.document.index) && same(then.cells, today.cells)
      ? []
      : [{ part: "index", title: t("Index with all its cells") }];
  const cell = then.cells.find((known) => known.number === number);
  const now = cell && today.cells.find((known) => known.id === cell.id);
  const own: Part[] =
    cell && !same(cell, now)
      ? [{ part: "cell", id: cell.id, title: t("Sheet %{name} alone", { name: cell.name }) }]
      : [];
  return [...members, ...own, ...index, ...layers];
}
