import { CHAPTERS } from "./places";
import { sectionsOf } from "./sections";

// The guide ships with the application.
const files: Record<string, string> = import.meta.glob("../../../docs/guide/*.md", {
  query: "?raw",
  import: "default",
  eager: true,
});
const pictures: Record<string, string> = import.meta.glob("../../../docs/screenshots/*.png", {
  query: "?url",
  import: "default",
  eager: true,
});

/** The Markdown of a chapter; none for one that is not there. */
export const textOf = (chapter: string): string | undefined => files[`../../../docs/guide/${chapter}.md`];

/** The address of a picture that a chapter names ("../screenshots/weave.png"). */
export const pictureOf = (path: string): string | undefined => pictures[path.replace(/^\.\.\//, "../../../docs/")];

/** All sections of all chapters. */
export const sections = CHAPTERS.flatMap(([chapter]) => sectionsOf(chapter, textOf(chapter) ?? ""));
