import { readNumber, twofold } from "../numbers/read";
import { written } from "../numbers/written";
import { t } from "../texts/t";

/** Says of a number that could mean two things what it is read as: of "1,189", typed where a decimal sign may be meant. */
export function readAs(text: string): string | undefined {
  if (!twofold(text)) return undefined;
  return t("Read as %{text}. For a decimal, enter %{value}.", {
    text: written(readNumber(text)!),
    value: text.trim().replace(",", "."),
  });
}
