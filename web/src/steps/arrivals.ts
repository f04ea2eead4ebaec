import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useRef } from "react";
import { useBook } from "../api/book";
import { get, post, Refusal, upload } from "../api/client";
import type { Arrival } from "../api/types";

const waits = (arrival: Arrival) => arrival.state === "inspecting" || arrival.state === "importing";

export interface Arrivals {
  list: Arrival[];
  take: (files: FileList | File[] | null) => void;
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
  const query = useQuery({ queryKey: ["arrivals", book.id], queryFn: ({ signal }) => get<Arrival[]>(base, signal), refetchInterval: (state) => (state.state.data?.some(waits) ? 400 : false) });
  const again = () => client.invalidateQueries({ queryKey: ["arrivals", book.id] });
  const sending = useMutation<void, Refusal, File[]>({
    mutationFn: async (files) => {
      for (const file of files) {
        await upload(base, file).catch((error: Error) => { throw new Refusal(`${file.name} was not brought in. ${error.message}`); });
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
    take: (files) => sending.mutate(Array.from(files ?? [])),
    keep: (arrival, layers, reference) => post(`${base}/${arrival.id}/keep`, { layers, reference }).finally(again),
    drop: (arrival) => void post(`${base}/${arrival.id}/cancel`, {}).finally(again),
    sending: sending.isPending,
    problem: sending.error?.message ?? null,
    clear: sending.reset,
  };
}
