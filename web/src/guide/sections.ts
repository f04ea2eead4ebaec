import GithubSlugger from "github-slugger";
import MiniSearch from "minisearch";

/** A part of a chapter under one heading; place: as the address has it ("weave.overlap"). */
export interface Section {
  place: string;
  chapter: string;
  title: string;
  text: string;
}

/** A chapter's Markdown cut at its headings, with the anchors that are made of them. */
export function sectionsOf(chapter: string, markdown: string): Section[] {
  const slugger = new GithubSlugger();
  const sections: Section[] = [];
  let fenced = false;
  for (const line of markdown.split("\n")) {
    if (line.startsWith("```")) fenced = !fenced;
    const heading = fenced ? null : /^#{1,6} (.*)$/.exec(line);
    if (heading) {
      const title = plain(heading[1] ?? "");
      const anchor = slugger.slug(title);
      // The first heading is the chapter's.
      sections.push({ place: sections.length === 0 ? chapter : `${chapter}.${anchor}`, chapter, title, text: "" });
    } else {
      const last = sections.at(-1);
      if (last) last.text += `${line}\n`;
    }
  }
  return sections.map((section) => ({ ...section, text: plain(section.text).trim() }));
}

// Words without the marks of Markdown.
const plain = (text: string) =>
  text
    .replace(/!\[[^\]]*\]\([^)]*\)/g, "")
    .replace(/\[([^\]]*)\]\([^)]*\)/g, "$1")
    .replace(/^\|(?: *-+ *\|)+$/gm, "")
    .replace(/^ *(?:[-*]|\d+\.) /gm, "")
    .replace(/[`*|]/g, "")
    .replace(/ {2,}/g, " ");

/** Finds sections by words, the beginnings of words and small slips, headings first. */
export function searchIn(sections: Section[]): (words: string) => Section[] {
  const index = new MiniSearch<Section>({ idField: "place", fields: ["title", "text"], storeFields: ["place"] });
  index.addAll(sections);
  const known = new Map(sections.map((section) => [section.place, section]));
  return (words) =>
    index
      .search(words, { prefix: true, fuzzy: 0.2, boost: { title: 3 }, combineWith: "AND" })
      .flatMap((found) => known.get(found.id as string) ?? []);
}

const EXCERPT = 140,
  BEFORE = 40;

/** Some words of a section round the first that was searched for. */
export function excerpt(text: string, words: string): string {
  const first = words.trim().split(/\s+/)[0]?.toLowerCase() ?? "";
  const at = Math.max(0, text.toLowerCase().indexOf(first));
  // From the beginning of a word.
  const start = at <= BEFORE ? 0 : text.lastIndexOf(" ", at - BEFORE / 2) + 1;
  const end = start + EXCERPT;
  return `${start > 0 ? "… " : ""}${text.slice(start, end).replace(/\s+/g, " ")}${end < text.length ? " …" : ""}`;
}
