import { useCallback } from "react";
import { useSearchParams } from "react-router";

/**
 * What of the page is part of its address, so that a reload, another step and a second tab show the same. change: gives
 * the values that are to be others, null for one that goes, by those that there are.
 */
export function useAddress(): {
  search: URLSearchParams;
  change: (by: (known: URLSearchParams) => Record<string, string | null>) => void;
} {
  const [search, setSearch] = useSearchParams();
  const change = useCallback(
    (by: (known: URLSearchParams) => Record<string, string | null>) =>
      setSearch(
        (known) => {
          const fresh = new URLSearchParams(known);
          for (const [name, value] of Object.entries(by(known)))
            if (value === null) fresh.delete(name);
            else fresh.set(name, value);
          return fresh;
        },
        { replace: true },
      ),
    [setSearch],
  );
  return { search, change };
}
