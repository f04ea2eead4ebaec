import { useEffect } from "react";
import type { Element } from "../api/types";
import type { Boxes } from "./boxes";
import { useLayout } from "./layout";

// The server's drawing counts in hundredths of a millimetre.
const PER_MM = 100;

const drawnPart = (element: Element | undefined) =>
  element ? document.querySelector(`[data-sheet] [data-part="${CSS.escape(`${element.kind} ${element.id}`)}"]`) : null;

/** The drawing of what is being moved goes along until the server has drawn it in its new place. */
export function useDrawnPartsFollow(moved: Boxes | null, boxes: Boxes) {
  const { layout } = useLayout();
  useEffect(() => {
    if (!moved) return;
    const parts = Object.entries(moved)
      .map(([id, box]) => ({
        part: drawnPart(layout.elements.find((element) => element.id === id)),
        from: boxes[id]!,
        box,
      }))
      .filter(({ from, box }) => from[2] === box[2] && from[3] === box[3]);
    parts.forEach(({ part, from, box }) =>
      part?.setAttribute("transform", `translate(${(box[0] - from[0]) * PER_MM} ${(box[1] - from[1]) * PER_MM})`),
    );
    return () => parts.forEach(({ part }) => part?.removeAttribute("transform"));
  }, [moved, boxes, layout.elements]);
}
