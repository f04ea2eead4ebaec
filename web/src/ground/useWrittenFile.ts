import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useBook } from "../api/book";
import { post, type Refusal } from "../api/client";
import { settled } from "../api/indexRun";
import type { IndexRun } from "../api/types";
import type { WrittenFile as Written } from "../generated/answers";

/**
 * A file that the server writes, a large one by a job that shows its progress, and that the browser then takes.
 * address: below the book's, which is sent what the file is to be.
 */
export function useWrittenFile<Body>(address: string) {
  const book = useBook();
  const client = useQueryClient();
  return useMutation<Written | null, Refusal, Body>({
    mutationFn: async (body) =>
      settled<Written>(
        client,
        book.id,
        await post<Written | { run: IndexRun }>(`/api/books/${book.id}/${address}`, body),
      ),
    onSuccess: (file) => {
      if (file) window.location.assign(file.path);
    },
  });
}
