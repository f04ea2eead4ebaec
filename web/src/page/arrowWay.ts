import type { KeyboardEvent } from "react";

const WAYS: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/**
 * By how many mm an arrow key moves what is selected on the page: by 1, with Shift by 10, with Alt by 0.1; null for
 * another key. The key then does nothing else.
 */
export function arrowWay(event: KeyboardEvent): [number, number] | null {
  const way = WAYS[event.key];
  if (!way) return null;
  event.preventDefault();
  event.stopPropagation();
  const step = event.shiftKey ? 10 : event.altKey ? 0.1 : 1;
  return [way[0] * step, way[1] * step];
}
