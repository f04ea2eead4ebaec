/**
 * The unit that a label names, with the space that it has behind a number: "Width, mm" → " mm"; "Rotation, ° clockwise"
 * → "°"; "" where it names none.
 */
export function unitOf(label: string): string {
  const unit = label.split(",")[1]?.trim() ?? "";
  return unit === "" ? "" : unit.startsWith("°") ? "°" : ` ${unit.split(" ")[0]}`;
}
