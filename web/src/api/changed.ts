import type { Book, BookChange, BookDocument, Cell } from "./types";

// The book as it is after a change: what the server says is another, put into the book as it was. Nothing where that
// is not the book that the change was made on.
export function changed(before: Book, { since, document, cells, ...parts }: BookChange): Book | undefined {
  if (before.revision !== since) return undefined;
  return {
    ...before,
    ...parts,
    document: members(before.document, document),
    cells: cells ? renewed(before.cells, cells) : before.cells,
  };
}

// null takes a member away.
function members(before: BookDocument, others: BookChange["document"]): BookDocument {
  const all = Object.entries({ ...before, ...others }).filter(([, value]) => value !== null);
  return Object.fromEntries(all) as unknown as BookDocument;
}

// In the order of their numbers.
function renewed(before: Cell[], { gone, come }: { gone: number[]; come: Cell[] }): Cell[] {
  if (gone.length === 0 && come.length === 0) return before;
  const left = new Set([...gone, ...come.map((cell) => cell.id)]);
  return [...before.filter((cell) => !left.has(cell.id)), ...come].sort((one, other) => one.number - other.number);
}
