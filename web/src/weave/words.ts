import type { Book, Index } from "../api/types";
import { mm } from "../api/words";
import { readNumber } from "../numbers/read";
import { choices } from "../generated/choices";
import { indexKinds, lengthUnits } from "../generated/kinds";
import { filled } from "../fields/filled";
import { defaults } from "../generated/defaults";
import { t } from "../texts/t";

type IndexKind = (typeof indexKinds)[number][0];

// What an index does, in the words of the sentence.
const SAID: Record<IndexKind, { title: string; note: string }> = {
  grid: { title: t("a grid"), note: t("rows and columns over an area") },
  strip: { title: t("a strip"), note: t("frames rotated to follow a line") },
  features: { title: t("a sheet for each feature"), note: t("of the study area") },
  layer: { title: t("the shapes of a layer"), note: t("an index drawn elsewhere") },
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
  return x === y || index.kind === "strip" ? x : t("%{x} across, %{y} down", { x, y });
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
    return index.fewest === "turned" ? t("moved and rotated for the fewest sheets") : t("moved for the fewest sheets");
  const step =
    index.spacing?.x || index.spacing?.y
      ? t(", spaced %{value}%{value2}", {
          value: index.spacing.x ?? t("by the overlap"),
          value2:
            index.spacing.y && index.spacing.y !== index.spacing.x
              ? t(" and %{spacing}", { spacing: index.spacing.y })
              : "",
        })
      : "";
  const start =
    index.origin?.kind === "round"
      ? t("corners on multiples of %{multiple}", { multiple: index.origin.multiple })
      : index.origin?.kind === "point"
        ? t("from a point")
        : t("centred");
  const turn =
    index.rotation_deg === "align"
      ? t(", aligned to the area")
      : index.rotation_deg
        ? t(", rotated %{rotation_deg}° clockwise", { rotation_deg: index.rotation_deg })
        : "";
  const keep =
    index.keep === "all"
      ? t(", all cells")
      : typeof index.keep === "number"
        ? t(", cells at least %{value} % full", { value: Math.round(index.keep * 1000) / 10 })
        : "";
  return start + step + turn + keep;
}

/** The settings of a strip, as a sentence says them. */
export function stripInWords(index: Index): string {
  const shown = filled(index, defaults.index);
  const turn = shown.maximum_rotation_deg;
  return t("%{clearance_mm} clear of the sides, %{value}%{value2}", {
    clearance_mm: mm(shown.clearance_mm),
    value:
      index.upward === "route"
        ? t("rotated along the route")
        : turn === 0
          ? t("no rotation")
          : turn === 180
            ? t("free rotation")
            : t("rotation up to %{turn}°", { turn }),
    value2: index.reverse ? t(", reversed") : "",
  });
}

/** The scale rule, as a sentence says it. */
export function ruleInWords(index: Index): string {
  switch (index.scale_rule?.kind) {
    case "fit":
      return t("at a scale that fits each with a margin of %{value}", {
        value: filled(index.scale_rule, defaults.index_scale_rule).margin,
      });
    case "standard_scales":
      return t("at the first standard scale that fits");
    case "field":
      return t("at the scale in %{value}", { value: index.scale_rule.field ?? t("a field") });
    default:
      return t("at the same scale");
  }
}

/** How sheets are called: the core's own example of the pattern, or the attribute. */
export function namesInWords({ naming, document }: Book): string {
  if (naming.example.length > 0) return `${naming.example.join(", ")}…`;
  return document.index.naming?.field
    ? t("by %{field}", { field: document.index.naming.field })
    : t("by their identity");
}
