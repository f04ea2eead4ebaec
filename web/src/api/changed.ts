import { applied } from "./operations";
import type { Book, BookChange, BookDocument, Cell } from "./types";

/**
 * The book as it is after a change: what the server says is another, put into the book as it was. Nothing where that is
 * not the book that the change was made on.
 */
export function changed(before: Book, { since, operations, cells, touched, ...parts }: BookChange): Book | undefined {
  if (before.revision !== since) return undefined;
  const document = applied(before.document, operations);
  return {
    ...before,
    ...parts,
    document,
    layers: parts.layers ?? inOrder(before.layers, touched ?? [], document),
    cells: cells ? renewed(before.cells, cells) : before.cells,
  };
}

// In the order of the document; the very list as it was where nothing is another.
function inOrder(before: Book["layers"], touched: Book["layers"], document: BookDocument): Book["layers"] {
  const known = new Map([...before, ...touched].map((layer) => [layer.id, layer]));
  const layers = document.layers.map(({ id }) => known.get(id)).filter((layer) => layer !== undefined);
  return layers.every((layer, place) => layer === before[place]) ? before : layers;
}

// In the order of their numbers.
function renewed(before: Cell[], { gone, come }: { gone: number[]; come: Cell[] }): Cell[] {
  if (gone.length === 0 && come.length === 0) return before;
  const left = new Set([...gone, ...come.map((cell) => cell.id)]);
  return [...before.filter((cell) => !left.has(cell.id)), ...come].sort((one, other) => one.number - other.number);
}
