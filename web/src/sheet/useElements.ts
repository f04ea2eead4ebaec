import { useMemo } from "react";
import type { Book, Element, Rectangle } from "../api/types";
import { toldElsewhere } from "../api/toldElsewhere";
import { shifted, type Boxes } from "./boxes";
import type { DrawnDetail } from "./frames/DrawDetail";
import { useLayout } from "./layout";
import { elementTitles, isFrame, isGridded, type ElementKind } from "./kinds";
import { t } from "../texts/t";

// Copied elements wait here, for other layouts and other books of this browser.
const CLIPBOARD = "tile-loom-elements";
const STEP_MM = 5;

interface Copied {
  kind: string;
  settings: Element;
  box: Rectangle;
}

// Without the outlines of frames that are gone.
function without(element: Element, gone: string[]): Element {
  if (!isGridded(element) || !element.outlines?.some(({ frame }) => frame && gone.includes(frame))) return element;
  const outlines = element.outlines.filter(({ frame }) => !frame || !gone.includes(frame));
  return { ...element, outlines: outlines.length ? outlines : undefined };
}

/** What can be done with elements of the layout; each is one change that can be undone. */
export function useElements(selected: string[], onPick: (ids: string[]) => void) {
  const { layout, frame, keep: change, ask } = useLayout();
  return useMemo(() => {
    const elements = layout.elements;
    const boxes = frame.elements;
    const keep = (label: string, fresh: Element[]) => change(label, { elements: fresh });
    const free = selected.filter((id) => !elements.find((known) => known.id === id)?.locked);
    const each = (label: string, ids: string[], patch: (element: Element) => Element) =>
      keep(
        label,
        elements.map((element) => (ids.includes(element.id) ? patch(element) : element)),
      );
    const add = async (label: string, list: { kind: string; box: Rectangle; settings?: Partial<Element> }[]) =>
      onPick((await ask<Book & { made: string[] }>("layout/elements", { label, elements: list })).made);
    const copied = (): Copied[] =>
      selected
        .map((id) => elements.find((known) => known.id === id)!)
        .filter((element) => element && !isFrame(element))
        .map((element) => ({ kind: element.kind, settings: element, box: boxes[element.id]! }));
    const move = (by: "front" | "back" | "forward" | "backward") => {
      const rest = elements.filter((element) => !selected.includes(element.id)),
        mine = elements.filter((element) => selected.includes(element.id));
      const lowest = elements.findIndex((element) => selected.includes(element.id));
      const at =
        by === "front"
          ? rest.length
          : by === "back"
            ? 0
            : by === "forward"
              ? Math.min(lowest + 1, rest.length)
              : Math.max(lowest - 1, 0);
      return keep("Order", [...rest.slice(0, at), ...mine, ...rest.slice(at)]);
    };
    return {
      // settings: id → what of the element changes with it.
      place: (label: string, wanted: Boxes, settings?: Record<string, Partial<Element>>) =>
        ask(`layout/boxes`, { label, boxes: wanted, settings }),
      patch: (id: string, patch: Partial<Element>, label = "Element") =>
        each(label, [id], (element) => ({ ...element, ...patch }) as Element),
      all: (label: string, patch: Partial<Element>) =>
        each(label, selected, (element) => ({ ...element, ...patch }) as Element),
      nudge: (dx: number, dy: number) => {
        if (free.length)
          void ask("layout/shift", { label: t("Move"), ids: free, dx_mm: dx, dy_mm: dy }).catch(toldElsewhere);
      },
      remove: () => {
        const gone = free.filter((id) => !elements.some((known) => known.id === id && isFrame(known)));
        if (!gone.length) return;
        onPick([]);
        void keep(
          gone.length > 1 ? "Remove elements" : "Remove element",
          elements.filter((element) => !gone.includes(element.id)).map((element) => without(element, gone)),
        ).catch(toldElsewhere);
      },
      duplicate: () => {
        const list = copied();
        if (list.length)
          void add(
            "Duplicate",
            list.map((entry) => ({ ...entry, box: shifted(entry.box, STEP_MM, STEP_MM) })),
          ).catch(toldElsewhere);
      },
      copy: () => {
        const list = copied();
        if (list.length) localStorage.setItem(CLIPBOARD, JSON.stringify(list));
      },
      paste: () => {
        const list = JSON.parse(localStorage.getItem(CLIPBOARD) ?? "[]") as Copied[];
        if (list.length)
          void add(
            "Paste",
            list.map((entry) => ({ ...entry, box: shifted(entry.box, STEP_MM, STEP_MM) })),
          ).catch(toldElsewhere);
      },
      create: (kind: ElementKind, box: Rectangle) => add(`New ${elementTitles[kind].toLowerCase()}`, [{ kind, box }]),
      createWith: (label: string, kind: ElementKind, box: Rectangle, settings: object) =>
        add(label, [{ kind, box, settings: settings as Partial<Element> }]),
      // A detail of the map frame and its outline there, together; with the next letter that is free.
      createDetail: async (drawn: DrawnDetail) => {
        const letters = elements.map((known) => (known.kind === "inset" ? known.letter : undefined));
        const letter = [..."ABCDEFGHIJKLMNOPQRSTUVWXYZ"].find((free) => !letters.includes(free)) ?? "";
        onPick((await ask<Book & { made: string[] }>("layout/detail", { ...drawn, letter })).made);
      },
      order: move,
      group: () => {
        const name = `group-${Date.now().toString(36)}`;
        return each("Group", selected, (element) => ({ ...element, group: name }));
      },
      ungroup: () => each("Ungroup", selected, (element) => ({ ...element, group: undefined })),
    };
  }, [layout, frame, change, ask, selected, onPick]);
}

export type Elements = ReturnType<typeof useElements>;

export const titleOf = (element: Element) =>
  element.title ?? element.id.replaceAll("-", " ").replace(/^./, (letter) => letter.toUpperCase());
