import { applied, isObject, names, valueAt, type Operation } from "./operations";
import type { Book } from "./types";

// A change of this browser that the server has not answered yet, or whose answer is not in the book yet. operations:
// those of it that can be shown before that; until: the revision of the book that has it.
export interface Waiting {
  operations: Operation[];
  until?: number;
}

// Parts from which more follows than the document itself says: they wait for the answer.
const WHOLE = new Set(["layers", "layout", "index_layout", "pages"]);

/**
 * Of the operations those that can be shown at once: what an object that is there has as a member. What comes, goes or
 * stands elsewhere in a list waits, as the server has to say what follows from it.
 */
export const atOnce = (document: unknown, operations: Operation[]): Operation[] =>
  operations.filter((operation) => {
    const path = names(operation.path);
    if (path.length === 1 && WHOLE.has(path[0]!)) return false;
    if (operation.op === "test" || operation.op === "move") return false;
    return isObject(valueAt(document, path.slice(0, -1)));
  });

/** The book as this browser shows it: the server's, with its own changes that wait for their answers. */
export function withWaiting(book: Book, waiting: Waiting[]): Book {
  const list = waiting.filter(({ until }) => until === undefined || until > book.revision);
  const document = list.reduce((found, { operations }) => applied(found, atOnce(found, operations)), book.document);
  return document === book.document ? book : { ...book, document };
}
