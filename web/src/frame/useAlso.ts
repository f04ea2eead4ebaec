import { useCallback, useMemo } from "react";
import { useSearchParams } from "react-router";

// Which sheets are selected beside the one that is looked at, by their numbers: part of the address, so that the next
// step knows them too.
export function useAlso(): { also: number[]; setAlso: (by: (known: number[]) => number[]) => void } {
  const [search, setSearch] = useSearchParams();
  const text = search.get("also") ?? "";
  const also = useMemo(() => numbers(text), [text]);
  const setAlso = useCallback(
    (by: (known: number[]) => number[]) => {
      setSearch(
        (old) => {
          const fresh = new URLSearchParams(old);
          const list = by(numbers(old.get("also") ?? ""));
          if (list.length > 0) fresh.set("also", list.join("-"));
          else fresh.delete("also");
          return fresh;
        },
        { replace: true },
      );
    },
    [setSearch],
  );
  return { also, setAlso };
}

const numbers = (text: string) =>
  text
    .split("-")
    .map(Number)
    .filter((number) => Number.isInteger(number) && number > 0);
