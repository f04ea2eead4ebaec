import { useQueryClient } from "@tanstack/react-query";
import { useNavigate } from "react-router";

/** Goes to a book that has just been made; the list of books is asked for anew. */
export function useArrival() {
  const navigate = useNavigate();
  const client = useQueryClient();
  return async (made: { id: number }) => {
    await client.invalidateQueries({ queryKey: ["books"] });
    await navigate(`/books/${made.id}/weave`);
  };
}

export const paper = { bgcolor: "background.paper", border: 1, borderColor: "divider", p: 2.25 };
