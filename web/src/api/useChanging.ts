import { useQueryClient } from "@tanstack/react-query";
import { useEffect, useLayoutEffect, useMemo, useRef, useState } from "react";
import { atOnce, withWaiting, type Waiting } from "./atOnce";
import type { ChangeState, Changing } from "./book";
import { changed } from "./changed";
import { get, post, Refusal } from "./client";
import { identified } from "./entryIds";
import { settled } from "./indexRun";
import { merged } from "./merged";
import { between, retested } from "./operations";
import { alone, joined, type OwnChanges } from "./ownChanges";
import { toldElsewhere } from "./toldElsewhere";
import type { Book, BookChange, IndexRun } from "./types";

type Answer = Book | BookChange;

/**
 * Every change goes through here. What it makes of the document is shown at once and taken back where the server
 * refuses it. book: the server's; shown: with what waits for its answer.
 */
export function useChanging(
  id: number,
  book: Book | undefined,
): { shown: Book | undefined; changing: Changing; state: ChangeState } {
  const client = useQueryClient();
  const [waiting, setWaiting] = useState<Waiting[]>([]);
  const [under, setUnder] = useState(0);
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const [replaced, setReplaced] = useState<string | null>(null);
  const shown = useMemo(() => book && withWaiting(book, waiting), [book, waiting]);
  const seen = useRef(shown);
  useLayoutEffect(() => {
    seen.current = shown;
  }, [shown]);
  const revision = book?.revision;
  useEffect(() => {
    if (revision !== undefined)
      setWaiting((list) => {
        const left = list.filter(({ until }) => until === undefined || until > revision);
        return left.length === list.length ? list : left;
      });
  }, [revision]);
  const own = useRef<OwnChanges | null>(null);
  // One at a time, in the order in which they were made: the next one waits for the answer to the one before.
  const last = useRef<Promise<unknown>>(Promise.resolve());
  const changing = useMemo((): Changing => {
    const base = `/api/books/${id}`;
    const held = () => client.getQueryData<Book>(["book", id]);
    const inTurn = <T>(work: () => Promise<T>): Promise<T> => {
      const turn = last.current.then(work);
      // The next one is asked for whatever became of this.
      last.current = turn.catch(toldElsewhere);
      return turn;
    };
    const sent = async (path: string, body: unknown, method = "POST"): Promise<Book> => {
      setUnder((count) => count + 1);
      setRefusal(null);
      try {
        const before = held();
        const answer = await post<Answer | { run: IndexRun }>(path, body, { method, revision: before?.revision });
        const fresh = await settled<Answer>(client, id, answer);
        let whole: Book;
        if (fresh && "since" in fresh) {
          own.current = joined(own.current, fresh.since, fresh.revision);
          whole = (before && changed(before, fresh)) ?? (await get<Book>(base));
        } else whole = fresh ?? (await get<Book>(base));
        if (fresh?.replaced?.length) setReplaced(fresh.replaced.join(" "));
        client.setQueryData(["book", id], whole);
        return whole;
      } catch (error) {
        // What it was about is another by now.
        if (error instanceof Refusal && error.status === 409) void client.invalidateQueries({ queryKey: ["book", id] });
        throw error;
      } finally {
        setUnder((count) => count - 1);
      }
    };
    const refuse = (error: unknown): never => {
      setRefusal(error instanceof Refusal ? error : new Refusal((error as Error).message));
      throw error;
    };
    // Cells are meant as they were seen here: whatever others changed of them since is told.
    const asked = (path: string, body: unknown) => {
      const position = seen.current?.position;
      const own = path === "cells" ? { ...(body as object), seen: position } : body;
      return inTurn(() => sent(`${base}/${path}`, own)).catch(refuse);
    };
    return {
      change: (label, patch) => {
        // What is another than in the book that was seen, on named parts: so it holds for the book as it stands when
        // its turn has come. A list that is a value as a whole must stand as it was seen, or as this browser left it
        // since: of two lists of its own the later one holds.
        const before = seen.current;
        const operations = before
          ? between(before.document, identified(merged(before.document, patch), before.document))
          : [];
        const mine: Waiting = { operations: before ? atOnce(before.document, operations) : [] };
        if (mine.operations.length > 0) setWaiting((list) => [...list, mine]);
        return inTurn(async () => {
          const now = held();
          const only = now !== undefined && before !== undefined && alone(own.current, before.revision, now.revision);
          const whole = await sent(
            base,
            { label, operations: only ? retested(operations, now.document) : operations, seen: before?.position },
            "PATCH",
          );
          // It is shown until the book that has it is: both come in their own time.
          setWaiting((list) => list.map((one) => (one === mine ? { ...one, until: whole.revision } : one)));
          return whole;
        }).catch((error: unknown) => {
          setWaiting((list) => list.filter((one) => one !== mine));
          return refuse(error);
        });
      },
      ask: <T extends Book>(path: string, body: unknown) => asked(path, body) as Promise<T>,
      undo: () => void asked("undo", {}).catch(toldElsewhere),
      redo: () => void asked("redo", {}).catch(toldElsewhere),
      clear: () => {
        setRefusal(null);
        setReplaced(null);
      },
    };
  }, [client, id]);
  const pending = under > 0;
  const state = useMemo(() => ({ pending, refusal, replaced }), [pending, refusal, replaced]);
  return { shown, changing, state };
}
