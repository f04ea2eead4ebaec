import { createContext, useContext } from "react";

// Is the selected line being drawn by hand on the page?
export interface DrawnLine {
  drawing: boolean;
  setDrawing: (drawing: boolean) => void;
}
export const DrawnLineContext = createContext<DrawnLine>({ drawing: false, setDrawing: () => undefined });
export const useDrawnLine = () => useContext(DrawnLineContext);
