import type { Book, Index } from "../api/types";
import { mm } from "../api/words";
import { readNumber } from "../numbers/read";
import { choices } from "../generated/choices";
import { indexKinds, lengthUnits } from "../generated/kinds";
import { filled } from "../fields/filled";
import { defaults } from "../generated/defaults";

type IndexKind = (typeof indexKinds)[number][0];

// What an index does, in the words of the sentence.
const SAID: Record<IndexKind, { title: string; note: string }> = {
  grid: { title: "a grid", note: "rows and columns over an area" },
  strip: { title: "a strip", note: "frames rotated to follow a line" },
  features: { title: "a sheet for each feature", note: "of the study area" },
  layer: { title: "the shapes of a layer", note: "an index drawn elsewhere" },
};
export const KINDS = indexKinds.map(([value]) => ({ value, ...SAID[value] }));

export const ORDERS = choices.index_order.kind.map(([value, title]) => ({ value, title }));
export const CORNERS = choices.index_order.from.map(([value, title]) => ({ value, title }));

const UNITS = lengthUnits.map(([code]) => code).join("|");
const IN_UNIT = new RegExp(`^(.*?)\\s*(%|${UNITS})?$`);

// A number, not below nought, and the unit that is named, as the book document has them; null for what is none.
function inUnit(text: string, unit: string): { number: number; unit: string } | null {
  const [, typed, named] = IN_UNIT.exec(text.trim())!;
  const number = readNumber(typed!);
  return number === null || number < 0 ? null : { number, unit: named ?? unit };
}

/** A length of ground: "50 m", "1,200 m", "1 1/4 mi"; a bare number counts metres. null for what is none. */
export function readGround(text: string): string | null {
  const found = inUnit(text, "m");
  return found === null || found.unit === "%" ? null : `${found.number} ${found.unit}`;
}

/** "8", "8 mm", "5 %", "20 m", or one for each way: "8 mm; 5 mm". null for what is none. */
export function readOverlap(text: string): { x: string; y: string } | null {
  const parts = text.split(";").map((part) => inUnit(part, "mm"));
  if (parts.length > 2 || parts.includes(null)) return null;
  const [x, y] = parts.map((part) => `${part!.number} ${part!.unit}`);
  return { x: x!, y: y ?? x! };
}

/** How much neighbours overlap, as a sentence says it. */
export function overlapInWords(index: Index): string {
  const shown = filled(index, defaults.index);
  const plain = mm(shown.overlap_mm);
  const x = index.overlap?.x ?? plain,
    y = index.overlap?.y ?? plain;
  return x === y || index.kind === "strip" ? x : `${x} across, ${y} down`;
}

export const overlapAsText = (index: Index) => {
  const shown = filled(index, defaults.index);
  const plain = `${shown.overlap_mm} mm`;
  const x = index.overlap?.x ?? plain,
    y = index.overlap?.y ?? plain;
  return x === y ? x : `${x}; ${y}`;
};

/** How a grid lies, in a few words. */
export function gridInWords(index: Index): string {
  if (index.fewest)
    return index.fewest === "turned" ? "moved and rotated for the fewest sheets" : "moved for the fewest sheets";
  const step =
    index.spacing?.x || index.spacing?.y
      ? `, spaced ${index.spacing.x ?? "by the overlap"}${index.spacing.y && index.spacing.y !== index.spacing.x ? ` and ${index.spacing.y}` : ""}`
      : "";
  const start =
    index.origin?.kind === "round"
      ? `corners on multiples of ${index.origin.multiple}`
      : index.origin?.kind === "point"
        ? "from a point"
        : "centred";
  const turn =
    index.rotation_deg === "align"
      ? ", aligned to the area"
      : index.rotation_deg
        ? `, rotated ${index.rotation_deg}° clockwise`
        : "";
  const keep =
    index.keep === "all"
      ? ", all cells"
      : typeof index.keep === "number"
        ? `, cells at least ${Math.round(index.keep * 1000) / 10} % full`
        : "";
  return start + step + turn + keep;
}

/** The settings of a strip, as a sentence says them. */
export function stripInWords(index: Index): string {
  const shown = filled(index, defaults.index);
  const turn = shown.maximum_rotation_deg;
  return `${mm(shown.clearance_mm)} clear of the sides, ${index.upward === "route" ? "rotated along the route" : turn === 0 ? "no rotation" : turn === 180 ? "free rotation" : `rotation up to ${turn}°`}${index.reverse ? ", reversed" : ""}`;
}

/** The scale rule, as a sentence says it. */
export function ruleInWords(index: Index): string {
  switch (index.scale_rule?.kind) {
    case "fit":
      return `at a scale that fits each with a margin of ${filled(index.scale_rule, defaults.index_scale_rule).margin}`;
    case "standard_scales":
      return "at the first standard scale that fits";
    case "field":
      return `at the scale in ${index.scale_rule.field ?? "a field"}`;
    default:
      return "at the same scale";
  }
}

/** How sheets are called: the core's own example of the pattern, or the attribute. */
export function namesInWords({ naming, document }: Book): string {
  if (naming.example.length > 0) return `${naming.example.join(", ")}…`;
  return document.index.naming?.field ? `by ${document.index.naming.field}` : "by their identity";
}
