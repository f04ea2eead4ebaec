import { useQuery } from "@tanstack/react-query";
import { lazy, Suspense } from "react";
import { useBook } from "../api/book";
import { runsUnderWay } from "../api/indexRun";
import type { IndexRun as Work } from "../api/types";

// Work beside the index itself, for which the dialog of a value does not wait.
const BESIDE = ["cover", "features", "layer_file", "book_file"];
// It comes when there is one.
const IndexRun = lazy(() => import("./IndexRun"));

/**
 * Long work on the index: how far each is, and a way to stop it. narrow: in the dialog of a value, which is over the
 * rest of the page: only what it waits for.
 */
export function IndexRuns({ narrow = false }: { narrow?: boolean }) {
  const book = useBook();
  const { data } = useQuery<Work[]>({
    queryKey: runsUnderWay(book.id),
    queryFn: () => [],
    enabled: false,
    initialData: [],
  });
  return data
    .filter((run) => !narrow || !BESIDE.includes(run.purpose))
    .map((run) => (
      <Suspense key={run.id} fallback={null}>
        <IndexRun run={run} narrow={narrow} />
      </Suspense>
    ));
}
