// Numbers as people type them: what is shown anywhere can be typed back. Digits are grouped by commas or spaces, as they
// are shown; a comma that groups nothing is a decimal sign; the minus may be a true one.

const SPACES = /[\s\u00a0\u2009\u202f]+/g;
// "1,189", "402 265.1", "1,189,000.5": the first group has no nought in front, as none that is shown has.
const GROUPED = /^[+-]?[1-9]\d{0,2}(?:(?:,\d{3})+|(?: \d{3})+)(?:\.\d+)?$/;
// "1.189,5", "1.189.000": grouped by points, as much of Europe has it, where that is beyond doubt.
const POINTS = /^[+-]?[1-9]\d{0,2}(?:(?:\.\d{3}){2,}(?:,\d+)?|\.\d{3},\d+)$/;
const SPACED = /^[+-]?[1-9]\d{0,2}(?: \d{3})+,\d+$/;
const PLAIN = /^[+-]?(?:\d+(?:[.,]\d*)?|[.,]\d+)$/;
const FRACTION = /^([+-]?)(?:(\d+) )?(\d+) ?\/ ?(\d+)$/;

const even = (text: string) =>
  text
    .trim()
    .replace(/[\u2212\u2013]/g, "-")
    .replace(SPACES, " ")
    .replace(/^([+-]) /, "$1");

/** The number that a text says, "1 1/4" too, or null. */
export function readNumber(text: string): number | null {
  const plain = even(text);
  const fraction = FRACTION.exec(plain);
  if (fraction) {
    const [, sign, whole, part, of] = fraction;
    const value = Number(whole ?? 0) + Number(part) / Number(of);
    return Number.isFinite(value) ? (sign === "-" ? -value : value) : null;
  }
  if (GROUPED.test(plain)) return Number(plain.replace(/[, ]/g, ""));
  if (POINTS.test(plain) || SPACED.test(plain)) return Number(plain.replace(/[. ]/g, "").replace(",", "."));
  return PLAIN.test(plain) ? Number(plain.replace(",", ".")) : null;
}

/** Could a text be a number with a decimal sign as well as the grouped one that it is read as? */
export const twofold = (text: string) => /^[+-]?[1-9]\d{0,2},\d{3}$/.test(even(text));

/** "1:2,500", "1 : 2 500", "2500" → 2500; null for what is not a scale. */
export const readScale = (text: string) => readNumber(text.trim().replace(/^1\s*[:/]\s*/, ""));

const ANGLE = /^([+-]?)(\d+(?:[.,]\d+)?)°(?:(\d+(?:[.,]\d+)?)[′'](?:(\d+(?:[.,]\d+)?)[″"])?)?([NSEOW]?)$/i;

/** "−31.24", "10.5° W", "10°40′W", "58° 53′ 10″ N" → degrees, south and west below nought; null for what is no angle. */
export function readAngle(text: string): number | null {
  const plain = even(text).replace(/''/g, "″");
  const found = ANGLE.exec(plain.replaceAll(" ", ""));
  if (!found) return readNumber(plain);
  const [, sign, ...parts] = found;
  const side = parts.pop()!.toUpperCase();
  const [degrees, minutes, seconds] = parts.map((part) => (part ? readNumber(part)! : 0)) as [number, number, number];
  if (minutes >= 60 || seconds >= 60) return null;
  const value = degrees + minutes / 60 + seconds / 3600;
  return sign === "-" || side === "S" || side === "W" ? -value : value;
}

/** A number with or without its unit behind it, as a field shows it: "12 %" of a field in %. */
export function readIn(text: string, unit: string): number | null {
  const bare = unit.trim();
  if (bare === "°") return readAngle(text);
  const typed = text.trim();
  return readNumber(bare !== "" && typed.endsWith(bare) ? typed.slice(0, -bare.length) : typed);
}
