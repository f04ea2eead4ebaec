import { useQuery, useQueryClient } from "@tanstack/react-query";
import { createContext, useContext, useEffect } from "react";
import { get, type Refusal } from "./client";
import type { Book, BookDocument, Patch } from "./types";
import { t } from "../texts/t";

/** The book of an id as the server has it, kept fresh. */
export function useBookQuery(id: number) {
  const client = useQueryClient();
  const book = useQuery({
    queryKey: ["book", id],
    queryFn: ({ signal }) => get<Book>(`/api/books/${id}`, signal),
    refetchInterval: (state) => (state.state.data?.reprojection ? 500 : false),
  });
  // A second tab, or a second person, may change the book: a light question now and then.
  const revision = useQuery({
    queryKey: ["revision", id],
    queryFn: ({ signal }) => get<{ revision: number }>(`/api/books/${id}/revision`, signal),
    refetchInterval: 2000,
    enabled: book.isSuccess,
  });
  const known = book.data?.revision;
  const latest = revision.data?.revision;
  useEffect(() => {
    if (known !== undefined && latest !== undefined && latest > known)
      void client.invalidateQueries({ queryKey: ["book", id] });
  }, [client, id, known, latest]);
  return book;
}

/** The book that is shown, for all parts of its page. */
export const BookContext = createContext<Book | null>(null);

/** The book that is shown. */
export function useBook(): Book {
  const book = useContext(BookContext);
  if (!book) throw new Error(t("no book here"));
  return book;
}

// How the book is changed; the functions stay the same from one redraw to the next.
export interface Changing {
  change: (label: string, patch: Patch<BookDocument>) => Promise<Book>;
  // A change that the server works out: what is posted to an address below the book's.
  ask: <T extends Book>(path: string, body: unknown) => Promise<T>;
  undo: () => void;
  redo: () => void;
  clear: () => void;
}

/** How the book that is shown is changed. */
export const ChangingContext = createContext<Changing | null>(null);

/** What changes the book that is shown. */
export function useChange(): Changing {
  const changing = useContext(ChangingContext);
  if (!changing) throw new Error(t("nothing to change here"));
  return changing;
}

// What becomes of the changes.
export interface ChangeState {
  // Is an answer awaited?
  pending: boolean;
  refusal: Refusal | null;
  // What somebody else had made of a part a moment before, of which this browser made something else.
  replaced: string | null;
}

/** Whether a change is under way, and what was refused of the last one. */
export const ChangeStateContext = createContext<ChangeState>({ pending: false, refusal: null, replaced: null });

/** Whether a change of the book is under way, and what was refused of the last one. */
export const useChangeState = (): ChangeState => useContext(ChangeStateContext);
