import { useQuery } from "@tanstack/react-query";
import { useBook } from "../api/book";
import { post } from "../api/client";
import type { Cell } from "../api/types";
import type { Beside } from "../generated/answers";

export type { Beside };

export const beside = (book: number, cells: Cell[], [dx, dy]: [number, number] = [0, 0], signal?: AbortSignal) =>
  post<Beside>(`/api/books/${book}/cells/beside`, { cells: cells.map((cell) => cell.id), dx, dy }, { signal });

/** How a cell lies to those beside it: overlaps and gaps, on paper. */
export function useBeside(cell: Cell | undefined) {
  const book = useBook();
  return useQuery({
    queryKey: ["beside", book.id, book.revision, cell?.id],
    queryFn: ({ signal }) => beside(book.id, [cell!], [0, 0], signal),
    enabled: cell !== undefined,
    staleTime: Infinity,
  }).data;
}

/**
 * Where the hand lets cells come to: the nearest shift within reach each way on its own, else one to a round
 * coordinate.
 */
export function snapped(by: [number, number], { shifts, round }: Beside, reach: number): [number, number] {
  const along = (axis: 0 | 1) => {
    const nearest = shifts[axis].reduce(
      (best, shift) => (Math.abs(shift - by[axis]) < Math.abs(best - by[axis]) ? shift : best),
      Infinity,
    );
    if (Math.abs(nearest - by[axis]) <= reach) return nearest;
    const corner = round.corner[axis];
    const even = Math.round((corner + by[axis]) / round.step) * round.step - corner;
    return shifts[axis].length > 0 && Math.abs(even - by[axis]) <= reach ? even : by[axis];
  };
  return [along(0), along(1)];
}
