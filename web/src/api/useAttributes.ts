import { useQuery } from "@tanstack/react-query";
import { useBook } from "./book";
import { get } from "./client";
import type { Index } from "./types";
import { partsOf } from "./area";
import type { Attribute } from "../generated/answers";

export type { Attribute };

export const isNumber = (attribute: Attribute | undefined) =>
  attribute?.type === "integer" || attribute?.type === "real";

/** Names of the attributes of a study area's first layer. */
export function useAreaAttributes(area: Index["area"]): string[] {
  const book = useBook();
  const layer = partsOf(area).find((part) => part.layer)?.layer;
  const attributes = useAttributes(book.document.layers.some((known) => known.id === layer) ? layer : undefined);
  return (attributes.data ?? []).map((attribute) => attribute.name);
}

/** A layer's attributes with their types; none for no layer. */
export function useAttributes(layer: string | undefined) {
  const book = useBook();
  const version = book.document.layers.find((known) => known.id === layer)?.version ?? 1;
  return useQuery({
    queryKey: ["attributes", book.id, layer, version],
    queryFn: ({ signal }) => get<Attribute[]>(`/api/books/${book.id}/layers/${layer}/attributes`, signal),
    enabled: layer !== undefined,
  });
}
