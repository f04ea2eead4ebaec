import { useState, type PointerEvent } from "react";
import { toldElsewhere } from "../../api/toldElsewhere";

const LEAST_MM = 0.05;

/**
 * Something on the page that follows the pointer: by how many mm so far, and what to give it. onDrop: called with the
 * way that it went, in mm, unless it hardly moved.
 */
export function useDragged(perMm: number, onDrop: (by: [number, number]) => Promise<unknown>) {
  const [from, setFrom] = useState<[number, number] | null>(null);
  const [by, setBy] = useState<[number, number]>([0, 0]);
  const at = (event: PointerEvent): [number, number] => [event.clientX / perMm, event.clientY / perMm];
  return {
    dragging: from !== null,
    by,
    handlers: {
      onPointerDown: (event: PointerEvent) => {
        event.stopPropagation();
        event.currentTarget.setPointerCapture(event.pointerId);
        setFrom(at(event));
      },
      onPointerMove: (event: PointerEvent) => {
        if (!from) return;
        const [x, y] = at(event);
        setBy([x - from[0], y - from[1]]);
      },
      onPointerUp: () => {
        setFrom(null);
        setBy([0, 0]);
        if (Math.hypot(...by) >= LEAST_MM) void onDrop(by).catch(toldElsewhere);
      },
    },
  };
}
