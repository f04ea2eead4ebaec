import type { QueryClient } from "@tanstack/react-query";
import { get, post, Refusal } from "./client";
import type { Weaving } from "./types";

const EVERY_MS = 400;

export const wait = (ms: number, signal?: AbortSignal) =>
  new Promise<void>((done, fail) => {
    const timer = window.setTimeout(done, ms);
    signal?.addEventListener("abort", () => {
      window.clearTimeout(timer);
      fail(new DOMException("stopped", "AbortError"));
    });
  });

// Work on an index that the server does in a job: `answer` of the request where it was short, else what the job came
// to. What is under way is told under ["weaving", book], where it can be seen and stopped.
export async function settled<T extends object>(
  client: QueryClient,
  book: number,
  answer: T | { weaving: Weaving },
  signal?: AbortSignal,
): Promise<T | null> {
  if (!("weaving" in answer)) return answer;
  const path = `/api/books/${book}/weavings/${answer.weaving.id}`;
  const show = (weaving: Weaving | null) => client.setQueryData(["weaving", book], weaving);
  try {
    for (let weaving = answer.weaving; ; weaving = await get<Weaving>(path, signal)) {
      if (weaving.state === "done") return (weaving.answer as T | undefined) ?? null;
      if (weaving.state === "failed" || weaving.state === "cancelled")
        throw new Refusal(
          weaving.reason ?? "Working out the index was stopped.",
          undefined,
          weaving.state === "cancelled" ? 409 : 422,
        );
      show(weaving);
      await wait(EVERY_MS, signal);
    }
  } catch (error) {
    // Nobody waits for it any more.
    if (error instanceof DOMException && error.name === "AbortError")
      void post(`${path}/cancel`, {}).catch(() => undefined);
    throw error;
  } finally {
    show(null);
  }
}
