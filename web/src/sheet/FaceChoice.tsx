import { useBook } from "../api/book";
import { Choice } from "../fields/Choice";

const WEIGHTS: Record<number, string> = { 300: "light", 400: "regular", 600: "semibold", 700: "bold" };

// One typeface of those that ship and the book's own.
export function FaceChoice({
  label,
  value,
  onChoose,
}: {
  label: string;
  value: string;
  onChoose: (face: string) => Promise<unknown>;
}) {
  const { faces } = useBook();
  const named = faces.map(
    ({ key, family, weight, italic }) =>
      [key, `${family.replace(/^Loom /, "")} ${WEIGHTS[weight] ?? weight}${italic ? " italic" : ""}`] as const,
  );
  return <Choice label={label} value={value} choices={named} onChoose={onChoose} />;
}
