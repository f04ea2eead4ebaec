import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { createContext, useContext, useEffect } from "react";
import { get, post, Refusal } from "./client";
import type { Book, BookDocument, Patch } from "./types";

export function useBookQuery(id: number) {
  const client = useQueryClient();
  const book = useQuery({ queryKey: ["book", id], queryFn: ({ signal }) => get<Book>(`/api/books/${id}`, signal), refetchInterval: (state) => (state.state.data?.reprojection ? 500 : false) });
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
    if (known !== undefined && latest !== undefined && latest > known) void client.invalidateQueries({ queryKey: ["book", id] });
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
  const keep = (fresh: Book) => client.setQueryData(["book", fresh.id], fresh);
  const mutation = useMutation<Book, Refusal, { path: string; body: unknown; method: string }>({
    mutationFn: ({ path, body, method }) => post<Book>(path, body, method),
    onSuccess: keep,
    onError: (error) => {
      if (error.status === 409) void client.invalidateQueries({ queryKey: ["book"] });
    },
  });
  const base = `/api/books/${book?.id}`;
  return {
    change: (label, patch) => mutation.mutateAsync({ path: base, method: "PATCH", body: { label, patch, revision: book?.revision } }),
    ask: <T extends Book>(path: string, body: unknown) => mutation.mutateAsync({ path: `${base}/${path}`, method: "POST", body }) as Promise<T>,
    undo: () => mutation.mutate({ path: `${base}/undo`, method: "POST", body: {} }),
    redo: () => mutation.mutate({ path: `${base}/redo`, method: "POST", body: {} }),
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
