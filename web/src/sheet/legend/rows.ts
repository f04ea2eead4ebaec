import type { LegendRow, Rectangle } from "../../api/types";
import { without } from "../../fields/without";
import type { RowShown } from "../../generated/answers";

export type { RowShown };

type Kept = { row: LegendRow; keep: boolean };

const kept = (rows: RowShown[]): Kept[] => rows.map(({ row, fresh }) => ({ row, keep: !fresh }));
// What is new stays so until it is edited itself.
const written = (list: Kept[]): LegendRow[] => list.filter(({ keep }) => keep).map(({ row }) => row);
const held = (row: LegendRow): Kept => ({ row, keep: true });

export const keysOf = (row: LegendRow): string[] => (row.kind === "entry" || row.kind === "steps" ? row.of : []);

/** By what each row is known while others come and go: what it stands for, or the how many-th of its kind it is. */
export function keysOfRows(rows: Pick<RowShown, "row">[]): string[] {
  const counts = new Map<string, number>();
  return rows.map(({ row }) => {
    const [first] = keysOf(row);
    if (first !== undefined) return `${row.kind} ${first}`;
    const count = (counts.get(row.kind) ?? 0) + 1;
    counts.set(row.kind, count);
    return `${row.kind} ${count}`;
  });
}

const plain = (key: string): LegendRow => ({ kind: "entry", of: [key] });

/** Each answers the rows to be saved. */
export function changed(rows: RowShown[], index: number, row: LegendRow): LegendRow[] {
  return written(kept(rows).map((known, place) => (place === index ? held(row) : known)));
}

/** before: the place among the rows as they are that it is put in front of. */
export function moved(rows: RowShown[], from: number, before: number): LegendRow[] {
  const list = kept(rows);
  const [taken] = list.splice(from, 1);
  list.splice(before > from ? before - 1 : before, 0, held(taken!.row));
  return written(list);
}

/** The rows of a legend with one more before a place. */
export function inserted(rows: RowShown[], before: number, row: LegendRow): LegendRow[] {
  const list = kept(rows);
  list.splice(before, 0, held(row));
  return written(list);
}

/** The rows of a legend without one. */
export function removed(rows: RowShown[], index: number): LegendRow[] {
  return written(kept(rows).filter((_, place) => place !== index));
}

/** One row of what two stand for, where the upper one is. A title that either has in print stays. */
export function merged(rows: RowShown[], upper: number, lower: number): LegendRow[] {
  const [one, other] = [rows[upper]!.row, rows[lower]!.row];
  if (one.kind !== "entry" || other.kind !== "entry") return written(kept(rows));
  const title = one.title ?? other.title;
  const both: LegendRow = { ...one, of: [...one.of, ...other.of], ...(title === undefined ? {} : { title }) };
  return written(
    kept(rows)
      .map((known, place) => (place === upper ? held(both) : known))
      .filter((_, place) => place !== lower),
  );
}

/** A row for each thing that it stands for. */
export function split(rows: RowShown[], index: number): LegendRow[] {
  return written(
    kept(rows).flatMap((known, place) =>
      place === index ? keysOf(known.row).map((key) => held(plain(key))) : [known],
    ),
  );
}

/** The classes of a number of one layer as steps that join, where the first of them stands. */
export function joined(rows: RowShown[], index: number): LegendRow[] {
  const layer = rows[index]!.layers[0];
  const classes = rows.map(({ steps, layers }) => steps && layers[0] === layer);
  const first = classes.indexOf(true);
  const of = rows.filter((_, place) => classes[place]).flatMap(({ row }) => keysOf(row));
  return written(
    kept(rows)
      .map((known, place) => (place === first ? held({ kind: "steps", of }) : known))
      .filter((_, place) => place === first || !classes[place]),
  );
}

/** As the map has it: without a title of its own, not hidden, and each thing in a row of its own. */
export function reset(rows: RowShown[], index: number): LegendRow[] {
  return split(rows, index);
}

export const isReset = (row: LegendRow) =>
  row.kind === "entry" && row.of.length === 1 && Object.keys(row).every((key) => ["kind", "of", "id"].includes(key));

/** What is new takes its place for good. */
export function accepted(rows: RowShown[]): LegendRow[] {
  return rows.map(({ row }) => row);
}

/** In front of which row something is put that is let go at a place of the page; null where there are no rows. */
export function placeAt(rows: RowShown[], x: number, y: number): number | null {
  const standing = rows
    .map(({ box }, index) => ({ box, index }))
    .filter((known): known is { box: Rectangle; index: number } => known.box !== undefined);
  if (standing.length === 0) return null;
  const off = (box: Rectangle) =>
    Math.max(box[0] - x, 0, x - box[0] - box[2]) * 4 + Math.max(box[1] - y, 0, y - box[1] - box[3]);
  const nearest = standing.reduce((best, known) => (off(known.box) < off(best.box) ? known : best));
  return y < nearest.box[1] + nearest.box[3] / 2 ? nearest.index : nearest.index + 1;
}

/** The row with these words; what the map calls it is no title of its own. */
export function titled(row: LegendRow, text: string, onMap: string[]): LegendRow {
  const words = text.trim();
  if (row.kind === "note") return { ...row, text: words || row.text };
  if (row.kind === "entry" || row.kind === "steps" || row.kind === "grid") {
    return words === "" || words === onMap.join(", ") ? (without(row, "title") as LegendRow) : { ...row, title: words };
  }
  return { ...row, title: words || row.title };
}
