import type { HistoryStep } from "../api/history";
import { t } from "../texts/t";

const time = new Intl.DateTimeFormat("en-GB", { hour: "2-digit", minute: "2-digit" });
const day = new Intl.DateTimeFormat("en-GB", { day: "numeric", month: "short" });
const year = new Intl.DateTimeFormat("en-GB", { day: "numeric", month: "short", year: "numeric" });

/** "14:31" of today, "30 Nov, 14:31", "3 Jan 2025, 14:31". now: when it is read. */
export function when(at: string, now: Date): string {
  const then = new Date(at);
  if (then.toDateString() === now.toDateString()) return time.format(then);
  const date = then.getFullYear() === now.getFullYear() ? day : year;
  return `${date.format(then)}, ${time.format(then)}`;
}

/** Whose it was, as far as that is known. */
export const who = ({ own }: Pick<HistoryStep, "own">): string =>
  own === null ? t("the server") : own ? "you" : t("another browser");

/** What became of a change since. */
export const since = ({ state }: Pick<HistoryStep, "state">): string | null =>
  state === "undone" || state === "given_up" ? t("undone since") : null;

/** What a state is called where that is kept for later. */
export const stateOf = (at: string) =>
  t("the state of %{value}, %{value2}", { value: year.format(new Date(at)), value2: time.format(new Date(at)) });
