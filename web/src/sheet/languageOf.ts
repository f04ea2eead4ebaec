import { languages } from "../generated/kinds";

/**
 * Which of the languages that pages can be written in a tag of RFC 5646 stands for ("de-AT": "de"); undefined for none.
 * The core decides alike (languages/known.rb).
 */
export function languageOf(tag: string): string | undefined {
  const codes = languages.map(([code]) => code as string);
  const exact = codes.find((code) => code.toLowerCase() === tag.toLowerCase());
  const primary = tag.toLowerCase().split("-")[0] ?? "";
  return exact ?? codes.find((code) => code === primary) ?? { no: "nb", nn: "nb" }[primary];
}
