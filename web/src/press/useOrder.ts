import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useCallback, useState } from "react";
import { useBook } from "../api/book";
import { post, type Refusal } from "../api/client";
import type { Form, Order, Plan } from "../api/types";
import { whole } from "./order";

/** The order that is being put together, as it was left in this window, and what it would come to. */
export function useOrder() {
  const book = useBook();
  const place = `order-${book.id}`;
  const [order, setOrder] = useState<Order>(() => kept(place));
  const put = useCallback(
    (fresh: Order) => {
      setOrder(fresh);
      try {
        sessionStorage.setItem(place, JSON.stringify(fresh));
      } catch {
        // It lasts as long as the page then.
      }
    },
    [place],
  );
  const change = useCallback(
    async (patch: Partial<Order>) => {
      const fresh = { ...order, ...patch };
      put(Object.fromEntries(Object.entries(fresh).filter(([, value]) => value !== undefined)) as Order);
    },
    [order, put],
  );
  const changeForm = useCallback(
    (patch: object) => change({ form: { ...whole(order).form, ...patch } as Form }),
    [order, change],
  );
  const asked: Order = { ...order, name: undefined };
  const plan = useQuery<Plan, Refusal>({
    queryKey: ["plan", book.id, book.revision, JSON.stringify(asked)],
    queryFn: ({ signal }) => post<Plan>(`/api/books/${book.id}/plan`, { order: asked }, { signal }),
    placeholderData: keepPreviousData,
    enabled: book.cells.length > 0,
    retry: false,
    staleTime: 60_000,
  });
  return { order, put, change, changeForm, plan };
}

export type OrderDraft = ReturnType<typeof useOrder>;

function kept(place: string): Order {
  try {
    return JSON.parse(sessionStorage.getItem(place) ?? "{}") as Order;
  } catch {
    return {};
  }
}
