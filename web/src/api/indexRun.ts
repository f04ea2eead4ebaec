import type { QueryClient } from "@tanstack/react-query";
import { get, post, Refusal } from "./client";
import type { IndexRun } from "./types";
import { endedAlready } from "./toldElsewhere";
import { t } from "../texts/t";

const EVERY_MS = 400;

const byAge = (one: IndexRun, other: IndexRun) => one.id - other.id;

export const wait = (ms: number, signal?: AbortSignal) =>
  new Promise<void>((done, fail) => {
    const timer = window.setTimeout(done, ms);
    signal?.addEventListener("abort", () => {
      window.clearTimeout(timer);
      fail(new DOMException("stopped", "AbortError"));
    });
  });

/** The work that is under way, oldest first: each is shown, and stopped, by itself. */
export const runsUnderWay = (book: number) => ["index runs", book];

/**
 * Work on an index that the server does in a job: `answer` of the request where it was short, else what the job came
 * to. What is under way is told under runsUnderWay, where it can be seen and stopped.
 */
export async function settled<T extends object>(
  client: QueryClient,
  book: number,
  answer: T | { run: IndexRun },
  signal?: AbortSignal,
): Promise<T | null> {
  if (!("run" in answer)) return answer;
  const { id } = answer.run;
  const path = `/api/books/${book}/index/runs/${id}`;
  const change = (changed: (shown: IndexRun[]) => IndexRun[]) =>
    client.setQueryData<IndexRun[]>(runsUnderWay(book), (shown) => changed(shown ?? []));
  const show = (run: IndexRun) => change((shown) => [...shown.filter((one) => one.id !== id), run].sort(byAge));
  const hide = () => change((shown) => shown.filter((one) => one.id !== id));
  try {
    for (let run = answer.run; ; run = await get<IndexRun>(path, signal)) {
      if (run.state === "done") return (run.answer as T | undefined) ?? null;
      if (run.state === "failed" || run.state === "cancelled")
        throw new Refusal(
          run.reason ?? t("Working out the index was stopped."),
          undefined,
          run.state === "cancelled" ? 409 : 422,
        );
      show(run);
      await wait(EVERY_MS, signal);
    }
  } catch (error) {
    // Nobody waits for it any more.
    if (error instanceof DOMException && error.name === "AbortError")
      void post(`${path}/cancel`, {}).catch(endedAlready);
    throw error;
  } finally {
    hide();
  }
}
