import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useBook } from "./book";
import { get, post, type Refusal } from "./client";
import type { Answer, BookDocument, Patch, IndexRun } from "./types";
import { settled, wait } from "./indexRun";

const TYPING_MS = 150;

export type IndexPatch = NonNullable<Patch<BookDocument>["index"]>;

/** What an index generated now would come to; null asks with the settings as they stand; enabled: is it wanted? */
export function useAnswer(index: IndexPatch | null, enabled = true) {
  const book = useBook();
  const client = useQueryClient();
  return useQuery<Answer, Refusal>({
    queryKey: ["index answer", book.id, book.revision, index],
    queryFn: async ({ signal }) => {
      // What is still being typed is not asked for; turn: of two that meet on their way the later counts.
      await wait(TYPING_MS, signal);
      const answer = await post<Answer | { run: IndexRun }>(
        `/api/books/${book.id}/index/trial`,
        { patch: index ? { index } : {}, turn: Date.now() },
        { signal },
      );
      return (await settled<Answer>(client, book.id, answer, signal))!;
    },
    enabled,
    retry: false,
    staleTime: Infinity,
  });
}

/** What the cells as they are come to. */
export function useCover() {
  const book = useBook();
  const client = useQueryClient();
  return useQuery<Answer, Refusal>({
    queryKey: ["cover", book.id, book.revision],
    queryFn: async ({ signal }) => {
      const answer = await get<Answer | { run: IndexRun }>(`/api/books/${book.id}/cover`, signal);
      return (await settled<Answer>(client, book.id, answer, signal))!;
    },
    retry: false,
    staleTime: Infinity,
  });
}
