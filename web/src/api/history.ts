import { useInfiniteQuery, useQuery, useQueryClient } from "@tanstack/react-query";
import { useBook } from "./book";
import { get, post } from "./client";
import type { Book } from "./types";
import type { Differences, HistoryPage, HistoryStep, NamedVersion as Version } from "../generated/answers";

export type { Differences, HistoryStep, Version };
// A run that made files, by the step behind which it was ordered.
export type Exported = HistoryPage["runs"][number];

/** The address of a page's drawing, of the book as it is or as it was. revision: of the book, or one before it. */
export const sheetPicture = (book: Book, sheet: number, revision = book.revision) =>
  `/api/books/${book.id}/sheets/${sheet}.svg?r=${revision}${book.at === undefined ? "" : `&at=${book.at}`}`;

/** touching: what the steps are about, or null for all; revision: of the book as it is today. */
export function useHistory(id: number, revision: number, touching: string | null) {
  return useInfiniteQuery({
    queryKey: ["history", id, revision, touching],
    queryFn: ({ pageParam, signal }) => {
      const query = new URLSearchParams({
        ...(pageParam !== null && { before: `${pageParam}` }),
        ...(touching !== null && { touching }),
      });
      return get<HistoryPage>(`/api/books/${id}/history?${query.toString()}`, signal);
    },
    initialPageParam: null as number | null,
    getNextPageParam: (last) => (last.more ? last.steps.at(-1)!.position : undefined),
    placeholderData: (before) => before,
  });
}

/** The book as it was behind a step; revision: of the book as it is today, of which the one follows. */
export function useBookThen(id: number, revision: number | undefined, at: number | null) {
  return useQuery({
    queryKey: ["book-then", id, revision, at],
    queryFn: async ({ signal }): Promise<Book> => ({
      ...(await get<Book>(`/api/books/${id}/history/${at}`, signal)),
      at: at!,
    }),
    enabled: at !== null && revision !== undefined,
    staleTime: Infinity,
  });
}

/** other: another state, or null for the book as it is. */
export function useDifferences(at: number, other: number | null) {
  const book = useBook();
  return useQuery({
    queryKey: ["differences", book.id, book.revision, at, other],
    queryFn: ({ signal }) =>
      get<Differences>(`/api/books/${book.id}/history/${at}/differences${beside(other)}`, signal),
    staleTime: Infinity,
  });
}

const beside = (other: number | null) => (other === null ? "" : `?with=${other}`);

/** Is a page drawn otherwise in the two states? */
export async function drawnOtherwise(
  book: number,
  [at, other]: [number, number | null],
  [was, is]: [number, number],
  signal: AbortSignal,
): Promise<boolean> {
  const query = new URLSearchParams({ was: `${was}`, is: `${is}`, ...(other !== null && { with: `${other}` }) });
  const path = `/api/books/${book}/history/${at}/differences/drawing?${query.toString()}`;
  return (await get<{ differs: boolean }>(path, signal)).differs;
}

/** Names of states: they are no changes of the book, and have no undo. */
export function useVersions() {
  const client = useQueryClient();
  const { id } = useBook();
  const afterwards = () => client.invalidateQueries({ queryKey: ["history", id] });
  return {
    name: async (position: number, name: string) => {
      await post(`/api/books/${id}/versions`, { position, name });
      await afterwards();
    },
    remove: async (version: number) => {
      await post(`/api/books/${id}/versions/${version}`, {}, { method: "DELETE" });
      await afterwards();
    },
  };
}
