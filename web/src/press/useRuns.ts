import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useBook } from "../api/book";
import { get, post, type Refusal } from "../api/client";
import type { Order, Run } from "../api/types";

export const isOpen = (run: Run) => run.state === "waiting" || run.state === "running";

export interface Passwords {
  password?: string;
  owner_password?: string;
}

/** The runs of the book, and what can be done to them. */
export function useRuns() {
  const book = useBook();
  const client = useQueryClient();
  const base = `/api/books/${book.id}/runs`;
  const key = ["runs", book.id];
  const runs = useQuery<Run[], Refusal>({
    queryKey: key,
    queryFn: ({ signal }) => get<Run[]>(base, signal),
    refetchInterval: (query) => (query.state.data?.some(isOpen) ? 500 : 4000),
  });
  const act = useMutation<unknown, Refusal, { path?: string; body?: unknown; method?: string }>({
    mutationFn: ({ path = "", body = {}, method }) => post(`${base}${path}`, body, { method }),
    onSettled: () => client.invalidateQueries({ queryKey: key }),
  });
  const place = (order: Order, passwords: Passwords = {}) => {
    const { name, ...asked } = order;
    return act.mutateAsync({ body: { order: asked, title: name ?? null, ...passwords } });
  };
  return { base, runs, act, place };
}

export type Runs = ReturnType<typeof useRuns>;
