// The revisions of a book through which this browser alone took it, one change after the other.
export interface OwnChanges {
  from: number;
  to: number;
}

/** own: those before. since: the revision that the change was made on; revision: the one that it led to. */
export const joined = (own: OwnChanges | null, since: number, revision: number): OwnChanges => ({
  from: own?.to === since ? own.from : since,
  to: revision,
});

/** Whether nobody else changed the book between the two. */
export const alone = (own: OwnChanges | null, seen: number, now: number): boolean =>
  own !== null && own.from <= seen && own.to === now;
