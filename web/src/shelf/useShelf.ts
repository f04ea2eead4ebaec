import { useQuery, useQueryClient } from "@tanstack/react-query";
import { get, post } from "../api/client";
import type { BookBinned, BookListed } from "../generated/answers";

const BOOKS = ["books"];
const BIN = ["bin"];

/** The books on the shelf and in the bin, and what moves them between the two. */
export function useShelf() {
  const client = useQueryClient();
  const books = useQuery({ queryKey: BOOKS, queryFn: ({ signal }) => get<BookListed[]>("/api/books", signal) });
  const bin = useQuery({ queryKey: BIN, queryFn: ({ signal }) => get<BookBinned[]>("/api/bin", signal) });
  const moved = async (fresh: BookListed[]) => {
    client.setQueryData(BOOKS, fresh);
    await client.invalidateQueries({ queryKey: BIN });
  };
  return {
    books,
    bin,
    rename: async (book: BookListed, title: string) => {
      await post(`/api/books/${book.id}`, { patch: { title }, label: "Title" }, { method: "PATCH" });
      await client.invalidateQueries({ queryKey: BOOKS });
    },
    remove: async (book: BookListed) =>
      moved(await post<BookListed[]>(`/api/books/${book.id}`, {}, { method: "DELETE" })),
    restore: async (book: BookBinned) => moved(await post<BookListed[]>(`/api/bin/${book.id}/restore`, {})),
    destroy: async (book: BookBinned) =>
      client.setQueryData(BIN, await post<BookBinned[]>(`/api/bin/${book.id}`, {}, { method: "DELETE" })),
  };
}
