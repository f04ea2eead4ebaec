import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { get, post } from "../api/client";
import type { Started } from "./started";
import { endedAlready } from "../api/toldElsewhere";

const waits = (start: Started | undefined) => start?.state === "inspecting" || start?.state === "importing";

/**
 * A file on its way to become a book, asked about as long as something is done with it. keep: what an answer says of
 * it; drop: it is not wanted any more.
 */
export function useStart() {
  const client = useQueryClient();
  const [id, setId] = useState<number | null>(null);
  const start = useQuery({
    queryKey: ["start", id],
    queryFn: ({ signal }) => get<Started>(`/api/starts/${id}`, signal),
    enabled: id !== null,
    refetchInterval: (state) => (waits(state.state.data) ? 400 : false),
  });
  return {
    data: id === null ? undefined : start.data,
    keep: (fresh: Started) => {
      client.setQueryData(["start", fresh.id], fresh);
      setId(fresh.id);
    },
    drop: () => {
      if (id !== null) void post(`/api/starts/${id}/cancel`, {}).catch(endedAlready);
      setId(null);
    },
  };
}
