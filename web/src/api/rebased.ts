// A merge patch replaces lists whole. Where the book has gone on since the one that a patch was made on, what is another
// in its lists is brought to the lists as they stand now: entries are known by their ids, or by their places where none
// came or went.

type Json = unknown;

const isObject = (value: Json): value is Record<string, Json> =>
  typeof value === "object" && value !== null && !Array.isArray(value);

const same = (one: Json, other: Json) => JSON.stringify(one) === JSON.stringify(other);

const ids = (list: Json[]): string[] | null => {
  const found = list.map((item) => (isObject(item) && typeof item.id === "string" ? item.id : null));
  return found.every((id) => id !== null) && new Set(found).size === found.length ? (found as string[]) : null;
};

// What does not go together with what others did.
class Clash extends Error {}

// mine: what base became by the patch; now: what it became otherwise. own: by the same hand, so that its later value holds.
function merged(base: Json, mine: Json, now: Json, own: boolean): Json {
  if (same(mine, base)) return now;
  if (same(now, base) || same(mine, now)) return mine;
  if (Array.isArray(base) && Array.isArray(mine) && Array.isArray(now)) return mergedList(base, mine, now, own);
  if (isObject(base) && isObject(mine) && isObject(now)) {
    const names = [...new Set([...Object.keys(now), ...Object.keys(mine)])];
    return Object.fromEntries(
      names
        .map((name) => [name, merged(base[name], mine[name], now[name], own)])
        .filter(([, value]) => value !== undefined),
    );
  }
  if (own && !Array.isArray(mine)) return mine;
  throw new Clash();
}

function mergedList(base: Json[], mine: Json[], now: Json[], own: boolean): Json[] {
  const [were, are, stand] = [ids(base), ids(mine), ids(now)];
  if (were && are && stand) {
    const of = (list: Json[], known: string[], id: string) => list[known.indexOf(id)];
    // What I changed and somebody took away.
    if (are.some((id) => !stand.includes(id) && were.includes(id) && !same(of(mine, are, id), of(base, were, id))))
      throw new Clash();
    const item = (id: string) => {
      if (!were.includes(id)) return are.includes(id) ? of(mine, are, id) : of(now, stand, id);
      return merged(of(base, were, id), of(mine, are, id), of(now, stand, id), own);
    };
    // The order is that of whoever changed it.
    const reordered = !same(
      are.filter((id) => were.includes(id)),
      were.filter((id) => are.includes(id)),
    );
    const [first, second] = reordered ? [are, stand] : [stand, are];
    const order = first.filter((id) => !were.includes(id) || (are.includes(id) && stand.includes(id)));
    second.forEach((id, place) => {
      if (!were.includes(id) && !first.includes(id)) order.splice(Math.min(place, order.length), 0, id);
    });
    return order.map(item);
  }
  if (base.length === mine.length && mine.length === now.length)
    return mine.map((item, place) => merged(base[place], item, now[place], own));
  throw new Clash();
}

// The patch as it is to be made on the book as it stands now; null where that does not go. base: the document that it
// was made on. own: whether what happened since is all of the hand that makes the patch.
export function rebased<T extends object>(patch: T, base: object, now: object, own = false): T | null {
  const through = (part: Json, was: Json, is: Json): Json => {
    if (Array.isArray(part)) return Array.isArray(was) && Array.isArray(is) ? merged(was, part, is, own) : clash();
    if (!isObject(part)) return part;
    return Object.fromEntries(
      Object.entries(part).map(([name, value]) => [
        name,
        through(value, isObject(was) ? was[name] : undefined, isObject(is) ? is[name] : undefined),
      ]),
    );
  };
  const clash = (): never => {
    throw new Clash();
  };
  try {
    return through(patch, base, now) as T;
  } catch (error) {
    if (error instanceof Clash) return null;
    throw error;
  }
}
