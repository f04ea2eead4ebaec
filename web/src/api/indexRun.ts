import type { QueryClient } from "@tanstack/react-query";
import { get, post, Refusal } from "./client";
import type { IndexRun } from "./types";

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
// to. What is under way is told under ["index run", book], where it can be seen and stopped.
export async function settled<T extends object>(
  client: QueryClient,
  book: number,
  answer: T | { run: IndexRun },
  signal?: AbortSignal,
): Promise<T | null> {
  if (!("run" in answer)) return answer;
  const path = `/api/books/${book}/index/runs/${answer.run.id}`;
  const show = (run: IndexRun) => client.setQueryData(["index run", book], run);
  // What has taken its place meanwhile stays, with the button that stops it under the pointer.
  const hide = () =>
    client.setQueryData<IndexRun | null>(["index run", book], (shown) =>
      shown?.id === answer.run.id ? null : (shown ?? null),
    );
  try {
    for (let run = answer.run; ; run = await get<IndexRun>(path, signal)) {
      if (run.state === "done") return (run.answer as T | undefined) ?? null;
      if (run.state === "failed" || run.state === "cancelled")
        throw new Refusal(
          run.reason ?? "Working out the index was stopped.",
          undefined,
          run.state === "cancelled" ? 409 : 422,
        );
      show(run);
      await wait(EVERY_MS, signal);
    }
  } catch (error) {
    // Nobody waits for it any more.
    if (error instanceof DOMException && error.name === "AbortError")
      void post(`${path}/cancel`, {}).catch(() => undefined);
    throw error;
  } finally {
    hide();
  }
}
