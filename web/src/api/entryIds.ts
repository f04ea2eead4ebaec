import { identifiedLists } from "../generated/kinds";
import { isObject, same } from "./operations";

type Json = unknown;
type Entry = Record<string, Json> & { id?: string };

const isEntry = (value: Json): value is Entry => isObject(value);

const known: ReadonlySet<string> = new Set(identifiedLists);

/**
 * A document with an id for each entry of a list whose entries are told apart by theirs, so that two people can add to
 * one list at once. before: as it was; an entry that has lost its id is known again by what it says, or by its place.
 */
export function identified<T>(after: T, before: Json): T {
  return of(after, before, "") as T;
}

function of(after: Json, before: Json, name: string): Json {
  if (after === before) return after;
  if (Array.isArray(after)) {
    const were = Array.isArray(before) ? (before as Json[]) : [];
    const list = known.has(name) && after.every(isEntry) ? filled(after, were.filter(isEntry)) : (after as Json[]);
    return list.map((entry, place) =>
      of(
        entry,
        isObject(entry) && entry.id ? were.find((was) => isObject(was) && was.id === entry.id) : were[place],
        "",
      ),
    );
  }
  if (!isObject(after)) return after;
  const were = isObject(before) ? before : {};
  return Object.fromEntries(Object.entries(after).map(([key, value]) => [key, of(value, were[key], key)]));
}

function filled(list: Entry[], were: Entry[]): Entry[] {
  const taken = new Set(list.map((entry) => entry.id).filter((id) => id !== undefined));
  const used = new Set<string>();
  return list.map((entry, place) => {
    if (entry.id !== undefined && !used.has(entry.id)) {
      used.add(entry.id);
      return entry;
    }
    const free = (was: Entry | undefined) => was?.id !== undefined && !taken.has(was.id) && !used.has(was.id);
    const alike = were.find((was) => free(was) && same(without(was), without(entry)));
    const there = list.length === were.length && free(were[place]) ? were[place] : undefined;
    const id = alike?.id ?? there?.id ?? fresh();
    used.add(id);
    return { ...entry, id };
  });
}

const without = (entry: Entry) => ({ ...entry, id: undefined });

// Nobody else's.
const fresh = () => `n${Array.from(crypto.getRandomValues(new Uint8Array(5)), (byte) => byte.toString(36)).join("")}`;
