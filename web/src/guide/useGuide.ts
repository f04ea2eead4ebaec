import { useCallback } from "react";
import { useAddress } from "../api/useAddress";
import { PLACES, type Place } from "./places";

/** The guide beside what is worked on: which chapter and section is open, by the address. */
export function useGuide(): {
  open: string | null;
  show: (place: string | null) => void;
  explain: (place: Place) => void;
} {
  const { search, change } = useAddress();
  const show = useCallback((place: string | null) => change(() => ({ guide: place })), [change]);
  return { open: search.get("guide"), show, explain: useCallback((place) => show(PLACES[place]), [show]) };
}
