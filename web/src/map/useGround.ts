import OlMap from "ol/Map";
import { useEffect, useRef, useState } from "react";
import { useBook } from "../api/book";
import type { Book } from "../api/types";
import { groundSaid } from "./groundSaid";
import { GroundLayer, type GroundState } from "./GroundLayer";

/**
 * The ground of the book as the core draws it, under everything else on the map. What is to be said of it, or null.
 */
export function useGround(map: OlMap | null): string | null {
  const [state, setState] = useState<GroundState>({ kind: "drawn" });
  const book = useBook();
  const ground = useRef<GroundLayer | null>(null);
  const revision = useRef(book.revision);
  useEffect(() => {
    if (!map) return;
    const layer = new GroundLayer(book.id, revision.current, setState);
    ground.current = layer;
    map.getLayers().insertAt(0, layer);
    return () => {
      map.removeLayer(layer);
      layer.close();
    };
  }, [map, book.id]);

  const shown = useRef(book);
  useEffect(() => {
    const before = shown.current;
    shown.current = book;
    revision.current = book.revision;
    ground.current?.show(
      book.revision,
      before.reference.definition !== book.reference.definition,
      restyled(before, book),
    );
  }, [book]);
  return groundSaid(state);
}

// The layers that alone look different in another state of the book; null where their order, their
// number or their data changed too.
function restyled(before: Book, after: Book): string[] | null {
  const [old, fresh] = [before.document.layers, after.document.layers];
  if (before.reference.definition !== after.reference.definition || old.length !== fresh.length) return null;
  if (
    !old.every(
      (layer, index) =>
        layer.id === fresh[index]!.id &&
        layer.version === fresh[index]!.version &&
        layer.visible === fresh[index]!.visible,
    )
  )
    return null;
  return fresh.filter((layer, index) => JSON.stringify(layer) !== JSON.stringify(old[index])).map((layer) => layer.id);
}
