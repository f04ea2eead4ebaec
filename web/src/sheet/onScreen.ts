import type { Rectangle } from "../api/types";

/** Where a box of the page, in mm, lies on the screen, over a page that is drawn with so many pixels a mm. */
export const onScreen = ([left, top, width, height]: Rectangle, perMm: number) => ({
  position: "absolute" as const,
  left: left * perMm,
  top: top * perMm,
  width: width * perMm,
  height: height * perMm,
});
