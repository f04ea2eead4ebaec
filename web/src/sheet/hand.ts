import { createContext, useContext, type Dispatch } from "react";

// What the hand is doing on the page: nothing in particular (the page itself is shown), choosing a design, adding a
// page, or at the elements that it has selected.
export type Hand =
  | { at: "page" | "designs" | "new page"; detail: boolean }
  | {
      at: "elements";
      ids: string[];
      // The row of a legend that is edited, by its key; beside: in a field beside it on the page, too.
      row: string | null;
      beside: boolean;
      // Is the selected line being drawn by hand?
      line: boolean;
      // Is the box of a new detail being drawn on the map?
      detail: boolean;
    };

export type Move =
  | { do: "select"; ids: string[] }
  | { do: "page" | "designs" | "new page" }
  // Away from designs and from a new page, to what was there.
  | { do: "back" }
  | { do: "row"; row: string | null; beside: boolean }
  | { do: "line" | "detail"; on: boolean };

export const EMPTY: Hand = { at: "page", detail: false };

/** What is selected after a move. */
export function moved(hand: Hand, move: Move): Hand {
  switch (move.do) {
    case "select": {
      if (move.ids.length === 0) return hand.at === "elements" ? { at: "page", detail: hand.detail } : hand;
      // A row and a drawing are of one element; they end when another is selected.
      const same = hand.at === "elements" && alone(hand) !== null && alone(hand) === alone(move);
      return same
        ? { ...hand, ids: move.ids }
        : { at: "elements", ids: move.ids, row: null, beside: false, line: false, detail: hand.detail };
    }
    case "back":
      return hand.at === "elements" ? hand : { at: "page", detail: hand.detail };
    case "row":
      return hand.at === "elements" ? { ...hand, row: move.row, beside: move.beside } : hand;
    case "line":
      return hand.at === "elements" ? { ...hand, line: move.on } : hand;
    case "detail":
      return { ...hand, detail: move.on };
    default:
      return { at: move.do, detail: hand.detail };
  }
}

const alone = ({ ids }: { ids: string[] }): string | null => (ids.length === 1 ? ids[0]! : null);

const NONE: string[] = [];

export const selectedIds = (hand: Hand): string[] => (hand.at === "elements" ? hand.ids : NONE);

/** What is selected on the page, and how that changes. */
export const HandContext = createContext<{ hand: Hand; move: Dispatch<Move> }>({ hand: EMPTY, move: () => undefined });

/** What is selected on the page, and how that changes. */
export const useHand = () => useContext(HandContext);

/** Whether the selected line is being drawn by hand. */
export function useDrawnLine() {
  const { hand, move } = useHand();
  return {
    drawing: hand.at === "elements" && hand.line,
    setDrawing: (on: boolean) => move({ do: "line", on }),
  };
}
