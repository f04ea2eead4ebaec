import { useMemo } from "react";
import { useBook, useChange } from "../api/book";

// What can be done with cells by hand; each is one change that can be undone.
export function useCells(selected: number[]) {
  const book = useBook();
  const { ask } = useChange();
  return useMemo(() => {
    const deed = (what: string, more: Record<string, unknown> = {}, numbers = selected) =>
      ask("cells", {
        do: what,
        cells: book.cells.filter((cell) => numbers.includes(cell.number)).map((cell) => cell.id),
        ...more,
      });
    const perMm = (scale: number) => scale / 1000 / book.reference.metres_per_unit;
    return {
      deed,
      // By millimetres on paper of the first selected cell's sheet, y up.
      nudge: (dx: number, dy: number) => {
        const scale = book.cells.find((cell) => cell.number === selected[0])?.scale;
        if (scale) void deed("move", { dx: dx * perMm(scale), dy: dy * perMm(scale) }).catch(() => undefined);
      },
      perMm,
    };
  }, [ask, book.cells, book.reference.metres_per_unit, selected]);
}

export type CellDeeds = ReturnType<typeof useCells>;
