import type { Guides, Rectangle } from "../api/types";
import { bottom, right } from "./boxes";

// A line to which an edge or a middle has come: upright at x, or level at y, in mm.
export interface Guide {
  axis: 0 | 1;
  at: number;
}

// Places that boxes snap to, by axis: edges (of page, margins and other elements) and middles; an edge
// comes to an edge, a middle to a middle.
interface Places {
  edges: number[];
  middles: number[];
}
export interface Targets {
  x: Places;
  y: Places;
}

/** guides: lines of one's own; edges and middles come to them. */
export function targets(page: Rectangle, live: Rectangle, others: Rectangle[], guides: Guides = {}): Targets {
  const all = [page, live, ...others];
  return {
    x: {
      edges: [...all.flatMap((box) => [box[0], right(box)]), ...(guides.x ?? [])],
      middles: [...all.map((box) => box[0] + box[2] / 2), ...(guides.x ?? [])],
    },
    y: {
      edges: [...all.flatMap((box) => [box[1], bottom(box)]), ...(guides.y ?? [])],
      middles: [...all.map((box) => box[1] + box[3] / 2), ...(guides.y ?? [])],
    },
  };
}

// The shift that brings one of the places nearest to a target, and the line it comes to; else the shift
// to the grid of the first place.
function nearest(
  edges: number[],
  middles: number[],
  to: Places,
  reach: number,
  grid: number,
): { shift: number; at: number | null } {
  let best: { shift: number; at: number | null } | null = null;
  for (const [places, list] of [
    [edges, to.edges],
    [middles, to.middles],
  ] as const)
    for (const place of places)
      for (const target of list) {
        const shift = target - place;
        if (Math.abs(shift) <= reach && (best === null || Math.abs(shift) < Math.abs(best.shift)))
          best = { shift, at: target };
      }
  if (best) return best;
  const first = edges[0]!;
  return { shift: grid > 0 ? Math.round(first / grid) * grid - first : 0, at: null };
}

/** How far a moved box is from what it snaps to: edges and middles count. reach and grid in mm. */
export function snapMove(
  box: Rectangle,
  to: Targets,
  reach: number,
  grid: number,
): { dx: number; dy: number; guides: Guide[] } {
  const x = nearest([box[0], right(box)], [box[0] + box[2] / 2], to.x, reach, grid);
  const y = nearest([box[1], bottom(box)], [box[1] + box[3] / 2], to.y, reach, grid);
  return { dx: x.shift, dy: y.shift, guides: guides(x.at, y.at) };
}

/** The same for the sides that a handle moves. */
export function snapSides(
  box: Rectangle,
  handle: { x: number; y: number },
  to: Targets,
  reach: number,
  grid: number,
): { dx: number; dy: number; guides: Guide[] } {
  const x =
    handle.x === 0 ? { shift: 0, at: null } : nearest([handle.x < 0 ? box[0] : right(box)], [], to.x, reach, grid);
  const y =
    handle.y === 0 ? { shift: 0, at: null } : nearest([handle.y < 0 ? box[1] : bottom(box)], [], to.y, reach, grid);
  return { dx: x.shift, dy: y.shift, guides: guides(x.at, y.at) };
}

function guides(x: number | null, y: number | null): Guide[] {
  return [...(x === null ? [] : [{ axis: 0 as const, at: x }]), ...(y === null ? [] : [{ axis: 1 as const, at: y }])];
}
