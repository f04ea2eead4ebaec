import type { Book } from "../api/types";

// A part of the book as it was that differs from today's and can be taken. id: of a layer or a cell.
export interface Part {
  part: string;
  id?: string | number;
  title: string;
}

const MEMBERS = [
  ["layout", "Design of the sheets"],
  ["index_layout", "Design of the index sheet"],
  ["index_pages", "Parts of the index sheet"],
  ["pages", "Pages beside the sheets"],
  ["notes", "Notes"],
  ["labels_by_hand", "Labels by hand"],
  ["looks", "Looks"],
  ["orders", "Export settings"],
  ["palette", "Palette of inks"],
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
    .map((layer): Part => ({ part: "layer", id: layer.id, title: `Layer ${layer.title}` }));
  const index: Part[] =
    same(then.document.index, today.document.index) && same(then.cells, today.cells)
      ? []
      : [{ part: "index", title: "Index with all its cells" }];
  const cell = then.cells.find((known) => known.number === number);
  const now = cell && today.cells.find((known) => known.id === cell.id);
  const own: Part[] =
    cell && !same(cell, now) ? [{ part: "cell", id: cell.id, title: `Sheet ${cell.name} alone` }] : [];
  return [...members, ...own, ...index, ...layers];
}
