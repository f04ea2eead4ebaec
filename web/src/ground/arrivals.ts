import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useRef } from "react";
import { useBook } from "../api/book";
import { get, post, Refusal, upload } from "../api/client";
import type { Arrival } from "../api/types";

const LARGEST_FILE = 2 * 1024 ** 3;

const waits = (arrival: Arrival) => arrival.state === "inspecting" || arrival.state === "importing";

export interface Arrivals {
  list: Arrival[];
  // replaces: the layer that gets fresh features, else the files bring new layers.
  take: (files: FileList | File[] | null, replaces?: string) => void;
  columns: (arrival: Arrival, columns: { x?: string; y?: string; wkt?: string }) => Promise<unknown>;
  keep: (arrival: Arrival, layers: { name: string; title: string }[], reference: string) => Promise<unknown>;
  drop: (arrival: Arrival) => void;
  sending: boolean;
  problem: string | null;
  clear: () => void;
}

// Files on their way into the book: sent, looked into, reported, kept or dropped.
export function useArrivals(): Arrivals {
  const book = useBook();
  const client = useQueryClient();
  const base = `/api/books/${book.id}/arrivals`;
  const query = useQuery({
    queryKey: ["arrivals", book.id],
    queryFn: ({ signal }) => get<Arrival[]>(base, signal),
    refetchInterval: (state) => (state.state.data?.some(waits) ? 400 : false),
  });
  const again = () => client.invalidateQueries({ queryKey: ["arrivals", book.id] });
  const sending = useMutation<void, Refusal, { files: File[]; replaces?: string }>({
    mutationFn: async ({ files, replaces }) => {
      for (const file of files) {
        if (file.size > LARGEST_FILE)
          throw new Refusal(
            `${file.name} is larger than 2 GB, the most that is taken at once; cut it in parts, or leave out what the book does not show.`,
          );
        await upload(base, file, replaces ? { replaces } : {}).catch((error: Error) => {
          throw new Refusal(`${file.name} was not imported. ${error.message}`);
        });
        await again();
      }
    },
  });
  // A file that has come in shows on the map at once.
  const done = query.data?.filter((arrival) => arrival.state === "done").length ?? 0;
  const before = useRef(done);
  useEffect(() => {
    if (done > before.current) void client.invalidateQueries({ queryKey: ["book", book.id] });
    before.current = done;
  }, [client, book.id, done]);
  return {
    list: query.data ?? [],
    take: (files, replaces) => sending.mutate({ files: Array.from(files ?? []), replaces }),
    columns: (arrival, columns) => post(`${base}/${arrival.id}/columns`, { columns }).finally(again),
    keep: (arrival, layers, reference) => post(`${base}/${arrival.id}/keep`, { layers, reference }).finally(again),
    drop: (arrival) => void post(`${base}/${arrival.id}/cancel`, {}).finally(again),
    sending: sending.isPending,
    problem: sending.error?.message ?? null,
    clear: sending.reset,
  };
}
