import { useQuery } from "@tanstack/react-query";
import { useMemo } from "react";
import { useBook, useChange } from "../../api/book";
import { get } from "../../api/client";
import { toGround } from "../../page/onGround";
import type { LabelByHand } from "../../api/types";
import type { UnplacedLabel, PlacedLabel, SheetLabels } from "../../generated/answers";

export type { UnplacedLabel, PlacedLabel, SheetLabels };

/** Of what a label is, whatever was done to it. */
export const keyOf = (label: { layer: string; rule: string; number?: number; feature: LabelByHand["feature"] }) =>
  JSON.stringify([
    label.layer,
    label.rule,
    label.number ?? 0,
    label.feature.field,
    label.feature.value,
    label.feature.id,
    label.feature.text,
  ]);

const NONE: LabelByHand[] = [];

export const labelsPath = (book: number, sheet: number) => `/api/books/${book}/sheets/${sheet}/labels`;

/** What the server says of the labels of a page, once that is wanted. */
export function useSheetLabels(sheet: number | null, wanted: boolean) {
  const book = useBook();
  return useQuery({
    queryKey: ["labels", book.id, book.revision, sheet],
    queryFn: ({ signal }) => get<SheetLabels>(labelsPath(book.id, sheet!), signal),
    enabled: wanted && sheet !== null,
    staleTime: Infinity,
    placeholderData: (before, query) => (query?.queryKey[3] === sheet ? before : undefined),
  }).data;
}

/** The labels of a page, and what changes them. name: of the page. */
export function useLabels(sheet: number | null, name: string, wanted: boolean) {
  const book = useBook();
  const { change } = useChange();
  const data = useSheetLabels(sheet, wanted);
  const all = book.document.labels_by_hand ?? NONE;
  // What is said of this page, and of all where nothing is said of this one.
  const here = useMemo(() => all.filter((entry) => entry.sheet === undefined || entry.sheet === name), [all, name]);
  const write = (label: string, list: LabelByHand[]) =>
    change(label, { labels_by_hand: list.length ? list : null } as never);
  const own = (label: PlacedLabel) => {
    const key = keyOf(label);
    const mine = here.filter((entry) => keyOf(entry) === key);
    return mine.find((entry) => entry.sheet !== undefined) ?? mine[0];
  };
  const start = ({ layer, rule, feature, number }: PlacedLabel): LabelByHand => ({
    layer,
    rule,
    feature,
    ...(number && { number }),
    sheet: name,
  });
  // Changes what is done to a label, or does something to it for the first time: then on this page alone.
  const edit = (label: PlacedLabel, patch: Partial<LabelByHand>, words: string) => {
    const before = own(label);
    const fresh = Object.fromEntries(
      Object.entries({ ...(before ?? start(label)), ...patch }).filter(([, value]) => value !== undefined),
    ) as unknown as LabelByHand;
    return write(
      `${words} ${label.text}`.slice(0, 120),
      before ? all.map((entry) => (entry === before ? fresh : entry)) : [...all, fresh],
    );
  };
  // A place in the words of the document.
  const placed = (label: PlacedLabel, [x, y]: [number, number]): Partial<LabelByHand> => {
    if (label.kind === "point") return { offset_mm: [rounded(x - label.x), rounded(y - label.y)], at: undefined };
    return { at: toGround(data!.to_ground!, [x, y]), offset_mm: undefined };
  };
  const reset = (entries: LabelByHand[], words: string) =>
    write(
      words,
      all.filter((entry) => !entries.includes(entry)),
    );
  return { labels: data, name, here, own, edit, placed, reset };
}

// To a hundredth of a millimetre.
const rounded = (mm: number) => Math.round(mm * 100) / 100;

export type Labels = ReturnType<typeof useLabels>;
