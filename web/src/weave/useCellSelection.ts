import { useCallback, useMemo } from "react";
import { useBook } from "../api/book";
import { toldElsewhere } from "../api/toldElsewhere";
import { useAlso } from "../frame/useAlso";
import { useSheet } from "../frame/useSheet";
import { useShortcuts } from "../frame/useShortcuts";
import { useCells } from "./useCells";

/**
 * Which cells are selected: the one of the sheet that is shown, and more beside it; they are moved and removed by keys
 * while that is wanted.
 */
export function useCellSelection(byKeys: boolean, onEscape: () => void) {
  const book = useBook();
  const { cell: current, go } = useSheet();
  const { also: more, setAlso: setMore } = useAlso();
  const cell = current ?? book.cells[0];
  const numbers = useMemo(() => [...new Set([...(cell ? [cell.number] : []), ...more])], [cell, more]);
  const selected = useMemo(() => book.cells.filter((known) => numbers.includes(known.number)), [book.cells, numbers]);
  const cells = useCells(numbers);
  const none = useCallback(() => setMore(() => []), [setMore]);
  const keys = useMemo(() => {
    const arrows = (prefix: string, by: number) => ({
      [`${prefix}ArrowLeft`]: () => cells.nudge(-by, 0),
      [`${prefix}ArrowRight`]: () => cells.nudge(by, 0),
      [`${prefix}ArrowUp`]: () => cells.nudge(0, by),
      [`${prefix}ArrowDown`]: () => cells.nudge(0, -by),
    });
    return byKeys
      ? {
          ...arrows("", 1),
          ...arrows("Shift+", 10),
          ...arrows("Alt+", 0.1),
          Delete: () => void cells.deed("remove").catch(toldElsewhere),
          Escape: () => {
            none();
            onEscape();
          },
        }
      : {};
  }, [cells, byKeys, none, onEscape]);
  useShortcuts(keys);
  const select = useCallback(
    (number: number, add: boolean) => {
      if (!add) {
        none();
        go(number);
      } else
        setMore((known) => (known.includes(number) ? known.filter((other) => other !== number) : [...known, number]));
    },
    [go, none, setMore],
  );
  return { cell, numbers, selected, cells, select, none };
}

export type CellSelection = ReturnType<typeof useCellSelection>;
