import type { Book, Index } from "../api/types";
import { mm } from "../api/words";

// What an index does, in the words of the sentence.
export const KINDS = [
  { value: "grid", title: "a grid", note: "rows and columns over an area" },
  { value: "strip", title: "a strip", note: "frames turned to follow a line" },
  { value: "features", title: "a sheet for each feature", note: "of the study area" },
  { value: "layer", title: "the shapes of a layer", note: "an index drawn elsewhere" },
] as const;

export const ORDERS = [
  { value: "rows", title: "row by row" },
  { value: "columns", title: "column by column" },
  { value: "rows_back_forth", title: "rows back and forth" },
  { value: "columns_back_forth", title: "columns back and forth" },
  { value: "clockwise", title: "clockwise round the middle" },
  { value: "counter_clockwise", title: "counter-clockwise round the middle" },
  { value: "as_woven", title: "as they were woven" },
  { value: "names", title: "by name" },
  { value: "attribute", title: "by an attribute" },
  { value: "by_hand", title: "by hand" },
] as const;

export const CORNERS = [
  { value: "north_west", title: "the north-west" },
  { value: "north_east", title: "the north-east" },
  { value: "south_west", title: "the south-west" },
  { value: "south_east", title: "the south-east" },
] as const;

const WIDTH = /^\s*\d+(\.\d+)?\s*(%|mm|in|pt|m|km|ft|us-ft|yd|mi|nmi)?\s*$/;

// "8", "8 mm", "5 %", "20 m", or one for each way: "8 mm; 5 mm". null for what is none.
export function readOverlap(text: string): { x: string; y: string } | null {
  const parts = text.split(";").map((part) => part.trim());
  if (parts.length > 2 || parts.some((part) => !WIDTH.test(part))) return null;
  const [x, y] = parts.map((part) => (/\d$/.test(part) ? `${part} mm` : part.replace(/\s*(%|[a-z-]+)$/, " $1")));
  return { x: x!, y: y ?? x! };
}

export function overlapInWords(index: Index): string {
  const plain = mm(index.overlap_mm ?? 0);
  const x = index.overlap?.x ?? plain,
    y = index.overlap?.y ?? plain;
  return x === y || index.kind === "strip" ? x : `${x} across, ${y} down`;
}

export const overlapAsText = (index: Index) => {
  const plain = `${index.overlap_mm ?? 0} mm`;
  const x = index.overlap?.x ?? plain,
    y = index.overlap?.y ?? plain;
  return x === y ? x : `${x}; ${y}`;
};

// How a grid lies, in a few words.
export function gridInWords(index: Index): string {
  if (index.fewest)
    return index.fewest === "turned" ? "moved and turned for the fewest sheets" : "moved for the fewest sheets";
  const step =
    index.step?.x || index.step?.y
      ? `, stepping ${index.step.x ?? "by the overlap"}${index.step.y && index.step.y !== index.step.x ? ` and ${index.step.y}` : ""}`
      : "";
  const start =
    index.start?.kind === "round"
      ? `corners on multiples of ${index.start.multiple}`
      : index.start?.kind === "point"
        ? "from a point"
        : "centred";
  const turn = index.turn === "best" ? ", turned as the area lies" : index.turn ? `, turned by ${index.turn}°` : "";
  const keep =
    index.keep === "all"
      ? ", all cells"
      : typeof index.keep === "number"
        ? `, cells at least ${Math.round(index.keep * 1000) / 10} % full`
        : "";
  return start + step + turn + keep;
}

export function stripInWords(index: Index): string {
  const turn = index.most_turn_deg ?? 180;
  return `${mm(index.lead_mm ?? 10)} inside the sides, ${index.upward === "route" ? "turned along the route" : turn === 0 ? "never turned" : turn === 180 ? "turned freely" : `turned by at most ${turn}°`}${index.reverse ? ", the other way" : ""}`;
}

export function ruleInWords(index: Index): string {
  switch (index.rule?.kind) {
    case "fit":
      return `at a scale that fits each with ${index.rule.margin ?? "10 %"} to spare`;
    case "ladder":
      return "at the first scale of a ladder that fits";
    case "attribute":
      return `at the scale in ${index.rule.attribute ?? "an attribute"}`;
    default:
      return "at the same scale";
  }
}

// How sheets are called: the core's own example of the pattern, or the attribute.
export function namesInWords({ naming, document }: Book): string {
  if (naming.example.length > 0) return `${naming.example.join(", ")}…`;
  return document.index.naming?.attribute ? `by ${document.index.naming.attribute}` : "by their identity";
}
