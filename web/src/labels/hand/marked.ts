import { createContext } from "react";

interface Marked {
  // Are the labels of the page marked, to be moved by hand?
  shown: boolean;
  setShown: (shown: boolean) => void;
  // Of the selected one, see keyOf.
  picked: string | null;
  setPicked: (key: string | null) => void;
}

/** Which labels are marked on the page, for the page and the panel beside it. */
export const MarkedLabelsContext = createContext<Marked>({
  shown: false,
  setShown: () => undefined,
  picked: null,
  setPicked: () => undefined,
});
