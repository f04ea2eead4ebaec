import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import { useBook } from "../api/book";
import { get, post, Refusal, upload } from "../api/client";
import type { Arrival, PixelsInfo } from "../api/types";
import { asOne, isPixels, together, type Sent } from "./together";
import { t } from "../texts/t";

const LARGEST_FILE = 2 * 1024 ** 3;
const LARGEST_PICTURE = 4 * 1024 ** 3;

const waits = (arrival: Arrival) => arrival.state === "inspecting" || arrival.state === "importing";

export interface Arrivals {
  list: Arrival[];
  // replaces: the layer that gets fresh features, else the files bring new layers.
  take: (files: FileList | File[] | null, replaces?: string) => void;
  columns: (arrival: Arrival, columns: { x?: string; y?: string; wkt?: string }) => Promise<unknown>;
  keep: (
    arrival: Arrival,
    layers: { name: string; title: string; taken_as?: PixelsInfo["kind"] }[],
    reference: string,
  ) => Promise<unknown>;
  // Several pictures that came at once: are they one?
  asked: { count: number; answer: (one: boolean) => void } | null;
  again: () => Promise<unknown>;
  drop: (arrival: Arrival) => void;
  sending: boolean;
  problem: string | null;
  clear: () => void;
}

/** Files on their way into the book: sent, looked into, reported, kept or dropped. */
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
  const sending = useMutation<void, Refusal, { files: Sent[]; replaces?: string }>({
    mutationFn: async ({ files, replaces }) => {
      for (const { file, beside } of files) {
        const pixels = isPixels(file);
        if ([file, ...beside].reduce((sum, part) => sum + part.size, 0) > (pixels ? LARGEST_PICTURE : LARGEST_FILE))
          throw new Refusal(
            t(
              "%{name} is larger than %{value} GB, the most that can be imported at once. Cut it into parts, or leave out what the book does not show.",
              { name: file.name, value: pixels ? 4 : 2 },
            ),
          );
        await upload(base, file, replaces ? { replaces } : {}, beside).catch((error: Error) => {
          throw new Refusal(t("%{name} was not imported. %{message}", { name: file.name, message: error.message }));
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
  const [waiting, setWaiting] = useState<{ files: Sent[]; replaces?: string } | null>(null);
  const take = (chosen: FileList | File[] | null, replaces?: string) => {
    const files = together(Array.from(chosen ?? []));
    if (files.length > 1 && files.every((known) => isPixels(known.file))) setWaiting({ files, replaces });
    else sending.mutate({ files, replaces });
  };
  return {
    list: query.data ?? [],
    take,
    again,
    asked: waiting && {
      count: waiting.files.length,
      answer: (one) => {
        setWaiting(null);
        sending.mutate({ ...waiting, files: one ? [asOne(waiting.files)] : waiting.files });
      },
    },
    columns: (arrival, columns) => post(`${base}/${arrival.id}/columns`, { columns }).finally(again),
    keep: (arrival, layers, reference) => post(`${base}/${arrival.id}/keep`, { layers, reference }).finally(again),
    drop: (arrival) => void post(`${base}/${arrival.id}/cancel`, {}).finally(again),
    sending: sending.isPending,
    problem: sending.error?.message ?? null,
    clear: sending.reset,
  };
}
