import { t } from "../texts/t";

const UNITS = ["mm", "pt", "px", "ppi", "%", "m", "km/h", t("× size")];

/**
 * The unit that a label names behind its last comma, with the space that it has behind a number: "Width, mm" → " mm";
 * "Rotation, ° clockwise" → "°"; "" where it names none.
 */
export function unitOf(label: string): string {
  const last = label.split(", ").slice(1).pop() ?? "";
  if (last.startsWith("°")) return "°";
  return UNITS.includes(last) ? ` ${last}` : "";
}
