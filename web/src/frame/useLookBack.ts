import { useCallback } from "react";
import { useAddress } from "../api/useAddress";

/** Whether the history is open, and behind which step of it the book is looked at: part of the address. */
export function useLookBack(): {
  open: boolean;
  setOpen: (open: boolean) => void;
  at: number | null;
  setAt: (at: number | null) => void;
} {
  const { search, change } = useAddress();
  const text = search.get("at");
  const at = text !== null && /^\d{1,9}$/.test(text) ? Number(text) : null;
  const setOpen = useCallback(
    (open: boolean) => change((known) => ({ history: open ? "1" : null, at: open ? known.get("at") : null })),
    [change],
  );
  const setAt = useCallback(
    (at: number | null) => change(() => ({ history: "1", at: at === null ? null : `${at}` })),
    [change],
  );
  return { open: search.get("history") === "1" || at !== null, setOpen, at, setAt };
}
