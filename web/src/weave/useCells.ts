import { useMemo } from "react";
import { useBook, useChange } from "../api/book";
import { toldElsewhere } from "../api/toldElsewhere";

/**
 * What can be done with cells by hand; each is one change that can be undone. selected: their numbers, the leading one
 * first.
 */
export function useCells(selected: number[]) {
  const book = useBook();
  const { ask } = useChange();
  return useMemo(() => {
    const ids = (numbers: number[]) =>
      numbers.flatMap((number) => book.cells.find((cell) => cell.number === number)?.id ?? []);
    const deed = (what: string, more: Record<string, unknown> = {}, numbers = selected) =>
      ask("cells", { do: what, cells: ids(numbers), ...more });
    return {
      deed,
      // By millimetres on paper of the leading cell's sheet, y up.
      nudge: (dx_mm: number, dy_mm: number) => void deed("move", { dx_mm, dy_mm }).catch(toldElsewhere),
    };
  }, [ask, book.cells, selected]);
}

export type CellDeeds = ReturnType<typeof useCells>;
