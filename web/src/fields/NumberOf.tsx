import { limits } from "../generated/limits";
import type { Limits } from "./limits";
import { Measured } from "./Measured";
import { NumberOrNone } from "./NumberOrNone";

type Parts = typeof limits;

/**
 * A number of a part of the book document, within the limits that the schema has for it. given: the part, with its
 * defaults filled in where the field shows them; placeholder: what stands where it has none of its own, of a number
 * that may be left out; onSave: takes what is another.
 */
export function NumberOf<Part extends keyof Parts, Key extends keyof Parts[Part] & string>({
  part,
  of,
  label,
  given,
  placeholder,
  onSave,
}: {
  part: Part;
  of: Key;
  label: string;
  onSave: (patch: { [K in Key]?: number }) => Promise<unknown>;
} & (
  { given: { [K in Key]: number }; placeholder?: undefined } | { given: { [K in Key]?: number }; placeholder: string }
)) {
  const own = (limits[part] as Record<string, Limits>)[of]!;
  const save = (value: number | undefined) => onSave({ [of]: value } as { [K in Key]?: number });
  return placeholder === undefined ? (
    <Measured label={label} value={given[of]!} limits={own} onSave={save} />
  ) : (
    <NumberOrNone label={label} value={given[of]} placeholder={placeholder} limits={own} onSave={save} />
  );
}
