import { useCallback } from "react";
import { useSearchParams } from "react-router";

// Whether the history is open, and behind which step of it the book is looked at: part of the address, so that a
// reload, another step and a second tab show the same.
export function useLookBack(): {
  open: boolean;
  setOpen: (open: boolean) => void;
  at: number | null;
  setAt: (at: number | null) => void;
} {
  const [search, setSearch] = useSearchParams();
  const text = search.get("at");
  const at = text !== null && /^\d{1,9}$/.test(text) ? Number(text) : null;
  const set = useCallback(
    (values: Record<string, string | null>) =>
      setSearch(
        (old) => {
          const fresh = new URLSearchParams(old);
          for (const [name, value] of Object.entries(values))
            if (value === null) fresh.delete(name);
            else fresh.set(name, value);
          return fresh;
        },
        { replace: true },
      ),
    [setSearch],
  );
  const setOpen = useCallback((open: boolean) => set(open ? { history: "1" } : { history: null, at: null }), [set]);
  const setAt = useCallback((at: number | null) => set({ history: "1", at: at === null ? null : `${at}` }), [set]);
  return { open: search.get("history") === "1" || at !== null, setOpen, at, setAt };
}
