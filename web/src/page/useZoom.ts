import { useCallback, useEffect, useLayoutEffect, useMemo, useRef, useState } from "react";
import type { Rectangle } from "../api/types";
import { useShortcuts } from "../frame/useShortcuts";

/** Pixels of the screen to a millimetre of paper at its actual size (CSS: 96 to an inch). */
export const PX_PER_MM = 96 / 25.4;
// Times the actual size.
const LEAST = 0.1,
  MOST = 8;
const within = (value: number) => Math.min(Math.max(value, LEAST), MOST);

/**
 * How large a page of so many mm is shown on a surface that scrolls, and where it lies there. selected: what can be
 * looked at closely, on the page.
 */
export function useZoom(width: number, height: number, selected: Rectangle | null | undefined) {
  const surface = useRef<HTMLDivElement>(null);
  const [room, setRoom] = useState({ width: 800, height: 500 });
  const [zoom, setZoom] = useState<number | null>(null);
  useEffect(() => {
    const element = surface.current;
    if (!element) return;
    const watcher = new ResizeObserver(() => setRoom({ width: element.clientWidth, height: element.clientHeight }));
    watcher.observe(element);
    return () => watcher.disconnect();
  }, []);
  const fit = Math.min((room.width - 40) / width, (room.height - 36) / height);
  const perMm = zoom === null ? fit : zoom * PX_PER_MM;
  const left = Math.max((room.width - width * perMm) / 2, 20);
  const top = Math.max((room.height - height * perMm) / 2, 18);
  // What is in the middle of the view stays there when the page grows or shrinks, unless something else is
  // to come there.
  const before = useRef({ perMm, left, top });
  const middle = useRef<[number, number] | null>(null);
  useLayoutEffect(() => {
    const element = surface.current;
    const old = before.current;
    before.current = { perMm, left, top };
    if (!element) return;
    if (middle.current) {
      const [x, y] = middle.current;
      middle.current = null;
      element.scrollTo(x * perMm + left - element.clientWidth / 2, y * perMm + top - element.clientHeight / 2);
      return;
    }
    if (old.perMm === perMm) return;
    const x = (element.scrollLeft + element.clientWidth / 2 - old.left) / old.perMm;
    const y = (element.scrollTop + element.clientHeight / 2 - old.top) / old.perMm;
    element.scrollTo(x * perMm + left - element.clientWidth / 2, y * perMm + top - element.clientHeight / 2);
  });
  const widthZoom = (room.width - 40) / width / PX_PER_MM;
  const closeUp = useCallback(() => {
    if (!selected) return;
    middle.current = [selected[0] + selected[2] / 2, selected[1] + selected[3] / 2];
    const across = (room.width - 80) / Math.max(selected[2], 2);
    const down = (room.height - 80) / Math.max(selected[3], 2);
    setZoom(within(Math.min(across, down) / PX_PER_MM));
  }, [selected, room]);
  const step = (factor: number) => setZoom(within((perMm / PX_PER_MM) * factor));
  const keys = useMemo(() => {
    const now = perMm / PX_PER_MM;
    const to = (value: number) => () => setZoom(within(value));
    return {
      "+": to(now * 1.25),
      "=": to(now * 1.25),
      "-": to(now / 1.25),
      f: () => setZoom(null),
      a: to(1),
      w: () => setZoom(widthZoom),
      s: closeUp,
    };
  }, [perMm, widthZoom, closeUp]);
  useShortcuts(keys);
  return {
    surface,
    room,
    perMm,
    left,
    top,
    fitted: zoom === null,
    step,
    toPage: () => setZoom(null),
    toWidth: () => setZoom(widthZoom),
    toActualSize: () => setZoom(1),
    closeUp,
  };
}

export type Zoom = ReturnType<typeof useZoom>;
