import { useQuery } from "@tanstack/react-query";
import { useBook } from "../api/book";
import { get } from "../api/client";

// The names of a layer's attributes; none for no layer.
export function useAttributes(layer: string | undefined) {
  const book = useBook();
  return useQuery({ queryKey: ["attributes", book.id, layer], queryFn: ({ signal }) => get<string[]>(`/api/books/${book.id}/layers/${layer}/attributes`, signal), enabled: layer !== undefined });
}
