import { readNumber, twofold } from "../numbers/read";
import { written } from "../numbers/written";

/** Says of a number that could mean two things what it is read as: of "1,189", typed where a decimal sign may be meant. */
export function readAs(text: string): string | undefined {
  if (!twofold(text)) return undefined;
  return `Read as ${written(readNumber(text)!)}. For a decimal, enter ${text.trim().replace(",", ".")}.`;
}
