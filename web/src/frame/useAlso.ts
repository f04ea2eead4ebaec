import { useCallback, useMemo } from "react";
import { useAddress } from "../api/useAddress";

/**
 * Which sheets are selected beside the one that is looked at, by their numbers: part of the address, so that the next
 * step knows them too.
 */
export function useAlso(): { also: number[]; setAlso: (by: (known: number[]) => number[]) => void } {
  const { search, change } = useAddress();
  const text = search.get("also") ?? "";
  const also = useMemo(() => numbers(text), [text]);
  const setAlso = useCallback(
    (by: (known: number[]) => number[]) =>
      change((known) => ({ also: by(numbers(known.get("also") ?? "")).join("-") || null })),
    [change],
  );
  return { also, setAlso };
}

const numbers = (text: string) =>
  text
    .split("-")
    .map(Number)
    .filter((number) => Number.isInteger(number) && number > 0);
