import { describe, expect, it } from "vitest";
import { CHAPTERS, PLACES } from "./places";
import { excerpt, searchIn, sectionsOf } from "./sections";

const ROOT = "../../../";
const texts: Record<string, string> = import.meta.glob(
  ["../../../*.md", "../../../docs/*.md", "../../../docs/guide/*.md"],
  { query: "?raw", import: "default", eager: true },
);
// Of these the names alone are asked.
const others = import.meta.glob(["../../../*", "../../../docs/*", "../../../docs/screenshots/*"]);

const GUIDE = `${ROOT}docs/guide/`;
const chapterFiles = Object.keys(texts).filter((file) => file.startsWith(GUIDE));
const nameOf = (file: string) => file.slice(GUIDE.length).replace(/\.md$/, "");
const all = chapterFiles.flatMap((file) => sectionsOf(nameOf(file), texts[file] ?? ""));
const places = all.map((section) => section.place);

// A path beside a file, as a key of the lists above.
function beside(file: string, path: string): string {
  const parts = file.slice(ROOT.length).split("/").slice(0, -1);
  for (const part of path.split("/")) {
    if (part === "..") parts.pop();
    else parts.push(part);
  }
  return ROOT + parts.join("/");
}

// [link, file that it leads to, anchor] of all links of a file that stay in the project.
function linksOf(file: string): [string, string, string | undefined][] {
  const text = (texts[file] ?? "").replace(/```[\s\S]*?```/g, "");
  return [...text.matchAll(/\]\(([^)\s]+)\)/g)]
    .map((match) => match[1] ?? "")
    .filter((link) => !/^[a-z]+:/.test(link))
    .map((link) => {
      const [path, anchor] = link.split("#");
      return [link, path ? beside(file, path) : file, anchor];
    });
}

describe("The guide", () => {
  it("has each chapter of its contents, and no other", () => {
    expect(chapterFiles.map(nameOf).sort()).toEqual(CHAPTERS.map(([name]) => name as string).sort());
    for (const [name, title] of CHAPTERS)
      expect([name, all.find(({ place }) => place === name)?.title]).toEqual([name, title]);
  });

  it("explains each part of the interface that points to it", () => {
    expect(Object.values(PLACES).filter((place) => !places.includes(place))).toEqual([]);
  });

  const files = [...chapterFiles, `${ROOT}README.md`];
  it.each(files)("has no link that leads nowhere: %s", (file) => {
    const broken = linksOf(file).filter(([, target, anchor]) => {
      if (!(target in texts || target in others)) return true;
      if (!anchor) return false;
      return !sectionsOf("x", texts[target] ?? "").some(({ place }) => place === `x.${anchor}`);
    });
    expect(broken.map(([link]) => link)).toEqual([]);
  });

  it("finds sections by beginnings of words, with a slip, headings first", () => {
    const found = searchIn([
      { place: "a", chapter: "a", title: "Overlap of sheets", text: "How far they share ground." },
      { place: "b", chapter: "b", title: "Grids", text: "An overlap is not gridded twice." },
      { place: "c", chapter: "c", title: "Norths", text: "Declination." },
    ]);
    expect(found("overl").map(({ place }) => place)).toEqual(["a", "b"]);
    expect(found("declinatoin").map(({ place }) => place)).toEqual(["c"]);
    expect(found("overlap declination")).toEqual([]);
  });

  // Anchors as GitHub makes them (github-slugger): small letters, hyphens for spaces, no punctuation.
  it("cuts chapters at their headings", () => {
    const text = "# One\nfirst\n## CRS, and why?\n[a](b.md) `c`\n```\n# not one\n```\n## CRS, and why?\n";
    expect(sectionsOf("x", text).map(({ place, title }) => [place, title])).toEqual([
      ["x", "One"],
      ["x.crs-and-why", "CRS, and why?"],
      ["x.crs-and-why-1", "CRS, and why?"],
    ]);
    expect(sectionsOf("x", text)[1]?.text).toContain("a c");
  });

  it("shows a section from where the word is", () => {
    const long = `${"word ".repeat(30)}declination and more ${"end ".repeat(60)}`;
    expect(excerpt(long, "declination")).toMatch(/^… (word )+declination and more .* …$/);
    expect(excerpt("Short.", "missing")).toBe("Short.");
  });
});
