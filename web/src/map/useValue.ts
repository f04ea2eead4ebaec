import { useQuery } from "@tanstack/react-query";
import { useBook } from "../api/book";
import { get } from "../api/client";
import { rounded } from "../numbers/written";
import { useRested } from "../frame/useRested";

const RESTS_MS = 150;

/** The value under the pointer of the topmost layer of heights or other values that is shown: "347.1 m". */
export function useValue(pointer: [number, number] | null): string | null {
  const book = useBook();
  const layer = [...book.document.layers].reverse().find((known) => known.visible && values(known.id));
  const rested = useRested(pointer, RESTS_MS);
  const found = useQuery({
    queryKey: ["value", book.id, layer?.id, layer?.version, rested],
    enabled: !!layer && !!rested,
    queryFn: ({ signal }) =>
      get<{ values: number[] | null }>(
        `/api/books/${book.id}/layers/${layer!.id}/value?x=${rested![0]}&y=${rested![1]}`,
        signal,
      ),
  });
  function values(id: string) {
    return book.layers.find((known) => known.id === id)?.pixels?.kind === "values";
  }
  const value = found.data?.values?.[0];
  if (value === undefined || !layer) return null;
  const unit = book.layers.find((known) => known.id === layer.id)?.pixels?.unit ?? "m";
  return `${rounded(value, 1)} ${unit}`;
}
