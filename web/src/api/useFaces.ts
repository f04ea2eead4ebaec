import { useEffect } from "react";
import type { Book } from "./types";

/** The book's own typefaces, for the browser that shows its sheets: the same files as the print has. */
export function useFaces(book: Book | undefined) {
  useEffect(() => {
    for (const face of book?.faces ?? []) {
      if (!face.content || [...document.fonts].some((known) => known.family.replaceAll('"', "") === face.css)) continue;
      const made = new FontFace(face.css, `url("/api/enclosures/${face.content}")`, {
        weight: String(face.weight),
        style: face.italic ? "italic" : "normal",
      });
      document.fonts.add(made);
      // One that does not come is drawn in the face that the browser has in its place.
      void made.load().catch(() => undefined);
    }
  }, [book?.faces]);
}
