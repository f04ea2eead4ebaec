import mergePatch from "json-merge-patch";
import { useMemo, useState } from "react";
import { useBook, useChange } from "../api/book";
import { useAnswer, type IndexPatch } from "../api/indexAnswer";
import { merged } from "../api/merged";
import { foretoldInWords } from "./answerInWords";

/** An index that is being tried: what it would come to is shown before any of it is kept. */
export function useIndexTrial() {
  const { document } = useBook();
  const { change } = useChange();
  const [trial, setTrial] = useState<IndexPatch | null>(null);
  const tried = useAnswer(trial, trial !== null);
  // The settings as they would be.
  const index = useMemo(() => (trial ? merged(document.index, trial) : document.index), [document.index, trial]);
  const keep = (label: string, patch: IndexPatch) => change(label, { index: patch });
  return {
    trial,
    index,
    answer: tried.data,
    foretold: trial && tried.data ? foretoldInWords(tried.data) : undefined,
    problem: tried.error?.message,
    keep,
    // Tries it alone; null gives up what is tried.
    offer: setTrial,
    // Tries it with what is tried already.
    add: (patch: IndexPatch) => setTrial((known) => mergePatch.merge(known ?? {}, patch) as IndexPatch),
    drop: () => setTrial(null),
    keepTrial: async (label: string) => {
      await keep(label, trial!);
      setTrial(null);
    },
  };
}

export type Trial = ReturnType<typeof useIndexTrial>;
