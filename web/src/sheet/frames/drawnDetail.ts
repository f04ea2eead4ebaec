import { createContext } from "react";

// Is the box of a new detail being drawn on the map?
export const DrawnDetailContext = createContext<{ drawing: boolean; setDrawing: (drawing: boolean) => void }>({
  drawing: false,
  setDrawing: () => undefined,
});
