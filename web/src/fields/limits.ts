import { isPaperUnit, readLengthIn } from "../numbers/lengths";
import { readIn } from "../numbers/read";
import { written } from "../numbers/written";
import { t } from "../texts/t";

// What a number may be, as the schema says it: at least, or more than; at most; whole.
export interface Limits {
  readonly least?: number;
  readonly above?: number;
  readonly most?: number;
  readonly whole?: boolean;
}

/** A share, in per cent. */
export const percentage: Limits = { least: 0, most: 100 };

/** The same of a line that need not be there: 0 stands for none. */
export const orNone = ({ above, ...others }: Limits): Limits =>
  above === 0 ? { ...others, least: 0 } : { above, ...others };

/** Is a number within the limits? */
export function within(number: number, { least, above, most, whole }: Limits): boolean {
  return (
    Number.isFinite(number) &&
    (least === undefined || number >= least) &&
    (above === undefined || number > above) &&
    (most === undefined || number <= most) &&
    (!whole || Number.isInteger(number))
  );
}

/** "Enter a value from 0 to 100 mm."; unit: with the space that it has before it. */
export function asked({ least, above, most, whole }: Limits, unit = ""): string {
  const what = whole ? t("a whole number") : t("a value");
  const [low, high] = [least ?? above, most].map((limit) => (limit === undefined ? undefined : written(limit)));
  if (above !== undefined && low !== undefined)
    return t("Enter %{what} greater than %{low}%{value}%{unit}.", {
      what,
      low,
      value: high === undefined ? "" : t(", up to %{high}", { high }),
      unit,
    });
  if (low !== undefined && high !== undefined)
    return t("Enter %{what} from %{low} to %{high}%{unit}.", { what, low, high, unit });
  if (low !== undefined) return t("Enter %{what} of at least %{low}%{unit}.", { what, low, unit });
  return high === undefined
    ? t("Enter %{what}.", { what })
    : t("Enter %{what} up to %{high}%{unit}.", { what, high, unit });
}

/** The number that a text says in a unit, where it is within the limits; else null. */
export function readWithin(text: string, limits: Limits, unit = ""): number | null {
  const paper = unit.trim();
  const number = isPaperUnit(paper) ? readLengthIn(text, paper) : readIn(text, unit);
  return number !== null && within(number, limits) ? number : null;
}

/** The same; what says none, or one beyond them, is an Error that tells what to enter. */
export function demanded(text: string, limits: Limits, unit: string): number {
  const number = readWithin(text, limits, unit);
  if (number === null) throw new Error(asked(limits, unit));
  return number;
}
