import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { createContext, useContext, useEffect, useRef } from "react";
import { get, post, Refusal } from "./client";
import { changed } from "./changed";
import { identified } from "./entryIds";
import type { Book, BookChange, BookDocument, Patch, IndexRun } from "./types";
import { settled } from "./indexRun";
import { merged } from "./merged";
import { between, retested } from "./operations";
import { alone, joined, type OwnChanges } from "./ownChanges";

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

export const BookContext = createContext<Book | null>(null);

export function useBook(): Book {
  const book = useContext(BookContext);
  if (!book) throw new Error("no book here");
  return book;
}

export interface Changing {
  change: (label: string, patch: Patch<BookDocument>) => Promise<Book>;
  // A change that the server works out: what is posted to an address below the book's.
  ask: <T extends Book>(path: string, body: unknown) => Promise<T>;
  undo: () => void;
  redo: () => void;
  pending: boolean;
  refusal: Refusal | null;
  clear: () => void;
}

// Every change goes through here; it is kept by the server before it shows.
export function useChanging(book: Book | undefined): Changing {
  const client = useQueryClient();
  const base = `/api/books/${book?.id}`;
  const held = () => client.getQueryData<Book>(["book", book?.id]) ?? book;
  const keep = (fresh: Book) => client.setQueryData(["book", fresh.id], fresh);
  const own = useRef<OwnChanges | null>(null);
  const mutation = useMutation<Book, Refusal, { path: string; body: unknown; method: string }>({
    mutationFn: async ({ path, body, method }) => {
      const before = held();
      const answer = await post<Book | BookChange | { run: IndexRun }>(path, body, {
        method,
        revision: before?.revision,
      });
      const fresh = book && (await settled<Book | BookChange>(client, book.id, answer));
      if (fresh && "since" in fresh) {
        own.current = joined(own.current, fresh.since, fresh.revision);
        return (before && changed(before, fresh)) ?? get<Book>(base);
      }
      return fresh ?? get<Book>(base);
    },
    onSuccess: keep,
    // What was refused may be another by now.
    onError: (error) => {
      if ([409, 422].includes(error.status ?? 0)) void client.invalidateQueries({ queryKey: ["book"] });
    },
  });
  // One at a time, in the order in which they were made: the next one waits for the answer to the one before.
  const last = useRef<Promise<unknown>>(Promise.resolve());
  const inTurn = <T>(work: () => Promise<T>): Promise<T> => {
    const turn = last.current.then(work);
    last.current = turn.catch(() => undefined);
    return turn;
  };
  const current = () => held()?.revision;
  // Cells are meant as they stand when the change's turn has come, after this browser's own changes.
  const send = (path: string, body: unknown) =>
    inTurn(() =>
      mutation.mutateAsync({
        path: `${base}/${path}`,
        method: "POST",
        body: path === "cells" ? { ...(body as object), revision: current() } : body,
      }),
    );
  return {
    change: (label, patch) => {
      // What is another than in the book that was seen, on named parts: so it holds for the book as it stands when its
      // turn has come. A list that is a value as a whole must stand as it was seen, or as this browser left it since:
      // of two lists of its own the later one holds.
      const seen = book?.revision;
      const operations = book ? between(book.document, identified(merged(book.document, patch), book.document)) : [];
      return inTurn(() => {
        const now = held();
        const mine = now !== undefined && seen !== undefined && alone(own.current, seen, now.revision);
        const body = { label, operations: mine ? retested(operations, now.document) : operations };
        return mutation.mutateAsync({ path: base, method: "PATCH", body });
      });
    },
    ask: <T extends Book>(path: string, body: unknown) => send(path, body) as Promise<T>,
    undo: () => void send("undo", {}).catch(() => undefined),
    redo: () => void send("redo", {}).catch(() => undefined),
    pending: mutation.isPending,
    refusal: mutation.error,
    clear: mutation.reset,
  };
}

export const ChangingContext = createContext<Changing | null>(null);

export function useChange(): Changing {
  const changing = useContext(ChangingContext);
  if (!changing) throw new Error("nothing to change here");
  return changing;
}
