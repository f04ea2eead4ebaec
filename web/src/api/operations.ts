// Changes of a document as a list of operations, as the server has them (Document::Operations): in the manner of JSON
// Patch (RFC 6902), but where the entries of a list have ids a path names an entry by its id and not by its place.
// before: in front of which entry one comes that is added or moved; nothing: at the end.
import type { Operation } from "../generated/answers";

export type { Operation };

type Json = unknown;
type Members = Record<string, Json>;

export const isObject = (value: Json): value is Members =>
  typeof value === "object" && value !== null && !Array.isArray(value);

export const same = (one: Json, other: Json): boolean => {
  if (one === other) return true;
  if (Array.isArray(one) && Array.isArray(other))
    return one.length === other.length && one.every((item, place) => same(item, other[place]));
  if (!isObject(one) || !isObject(other)) return false;
  const names = Object.keys(one);
  return (
    names.length === Object.keys(other).length && names.every((name) => name in other && same(one[name], other[name]))
  );
};

// Ids of the entries of a list, or null where not each has one of its own.
const ids = (list: Json[]): string[] | null => {
  const found = list.map((entry) => (isObject(entry) && typeof entry.id === "string" ? entry.id : null));
  return found.every((id) => id !== null) && new Set(found).size === found.length ? (found as string[]) : null;
};

const below = (path: string, name: string) => `${path}/${name.replaceAll("~", "~0").replaceAll("/", "~1")}`;

/**
 * Those that lead from one document to another. Each list that is a value as a whole is tested first: it was changed as
 * it was seen.
 */
export function between(before: Json, after: Json, path = ""): Operation[] {
  if (same(before, after)) return [];
  if (isObject(before) && isObject(after)) return ofMembers(before, after, path);
  if (Array.isArray(before) && Array.isArray(after)) {
    const [were, are] = [ids(before), ids(after)];
    if (were && are) return ofEntries(before, after, were, are, path);
    return [
      { op: "test", path, value: before },
      { op: "replace", path, value: after },
    ];
  }
  return [{ op: "replace", path, value: after }];
}

// undefined is a member that is not there.
function ofMembers(before: Members, after: Members, path: string): Operation[] {
  const names = [...new Set([...Object.keys(before), ...Object.keys(after)])];
  return names.flatMap((name): Operation[] => {
    const own = below(path, name);
    if (after[name] === undefined) return before[name] === undefined ? [] : [{ op: "remove", path: own }];
    if (before[name] === undefined) return [{ op: "add", path: own, value: after[name] }];
    return between(before[name], after[name], own);
  });
}

function ofEntries(before: Json[], after: Json[], were: string[], are: string[], path: string): Operation[] {
  const kept = were.filter((id) => are.includes(id));
  const removed = were
    .filter((id) => !are.includes(id))
    .map((id): Operation => ({ op: "remove", path: below(path, id) }));
  const changed = kept.flatMap((id) => between(before[were.indexOf(id)], after[are.indexOf(id)], below(path, id)));
  const still = rising(are.map((id) => kept.indexOf(id)));
  const placed: Operation[] = [];
  // From the last one on, so that each finds whom it comes before.
  for (let place = are.length - 1; place >= 0; place--) {
    if (still.has(place)) continue;
    const own = below(path, are[place]!);
    const next = place + 1 < are.length ? { before: are[place + 1]! } : {};
    placed.push(
      kept.includes(are[place]!)
        ? { op: "move", path: own, ...next }
        : { op: "add", path: own, value: after[place], ...next },
    );
  }
  return [...removed, ...changed, ...placed];
}

// Places of a longest rising subsequence of ranks; -1 has none.
function rising(ranks: number[]): Set<number> {
  const ends: number[] = [];
  const before: (number | undefined)[] = [];
  ranks.forEach((rank, place) => {
    if (rank < 0) return;
    const found = ends.findIndex((other) => ranks[other]! >= rank);
    const pile = found < 0 ? ends.length : found;
    before[place] = pile === 0 ? undefined : ends[pile - 1];
    ends[pile] = place;
  });
  const kept = new Set<number>();
  for (let at = ends.at(-1); at !== undefined; at = before[at]) kept.add(at);
  return kept;
}

/** The operations with what they test as it stands in another document. */
export const retested = (operations: Operation[], document: Json): Operation[] =>
  operations.map((operation) =>
    operation.op === "test" ? { ...operation, value: valueAt(document, names(operation.path)) ?? null } : operation,
  );

/** What stands at the end of a path of names, entries of lists by their ids. */
export const valueAt = (part: Json, path: string[]): Json => path.reduce(inner, part);

const inner = (part: Json, name: string): Json =>
  Array.isArray(part)
    ? (part as Json[]).find((entry) => isObject(entry) && entry.id === name)
    : isObject(part)
      ? part[name]
      : undefined;

/** The document with operations done that the server has done: they fit the one that it was made on. */
export function applied<T>(document: T, operations: Operation[]): T {
  return operations.reduce<Json>((found, operation) => within(found, names(operation.path), operation), document) as T;
}

export const names = (path: string) =>
  path
    .split("/")
    .slice(1)
    .map((name) => name.replaceAll("~1", "/").replaceAll("~0", "~"));

function within(part: Json, [name, ...rest]: string[], operation: Operation): Json {
  if (name === undefined) return operation.op === "replace" ? operation.value : part;
  if (Array.isArray(part)) return ofEntry(part, name, rest, operation);
  const members = part as Members;
  if (rest.length > 0) return { ...members, [name]: within(members[name], rest, operation) };
  if (operation.op === "test") return members;
  if (operation.op !== "remove") return { ...members, [name]: operation.value };
  return Object.fromEntries(Object.entries(members).filter(([key]) => key !== name));
}

function ofEntry(list: Json[], id: string, rest: string[], operation: Operation): Json[] {
  const place = list.findIndex((entry) => isObject(entry) && entry.id === id);
  const others = list.filter((_, index) => index !== place);
  const put = (entry: Json) => {
    const at = others.findIndex((other) => isObject(other) && other.id === operation.before);
    return at < 0 ? [...others, entry] : [...others.slice(0, at), entry, ...others.slice(at)];
  };
  if (rest.length > 0) return list.map((entry, index) => (index === place ? within(entry, rest, operation) : entry));
  switch (operation.op) {
    case "add":
      return put(operation.value);
    case "move":
      return put(list[place]);
    case "remove":
      return others;
    case "replace":
      return list.map((entry, index) => (index === place ? operation.value : entry));
    default:
      return list;
  }
}
