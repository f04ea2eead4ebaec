import { useBook } from "../api/book";
import { Choice } from "./Choice";
import { familyTitle, weightTitle } from "./faces";

/** One typeface of those that ship and the book's own. */
export function FaceChoice({
  label,
  value,
  wide,
  onChoose,
}: {
  label: string;
  value: string;
  // See Choice.
  wide?: boolean;
  onChoose: (face: string) => Promise<unknown>;
}) {
  const { faces } = useBook();
  const named = faces.map(
    ({ key, family, weight, italic }) =>
      [key, `${familyTitle(family)} ${weightTitle(weight)}${italic ? " italic" : ""}`] as const,
  );
  return <Choice label={label} value={value} choices={named} wide={wide} onChoose={onChoose} />;
}
