import { lookUp } from "./lookUp";
import { speak } from "./t";

// A translation is a file beside this one: en.json with other texts, under the name of its language.
const translations = import.meta.glob<Record<string, string>>(["./*.json", "!./en.json"], { import: "default" });

/** Which of the languages that there are is wanted first, by the tags of a browser; English where none is. */
export function languageFor(wanted: readonly string[], there: readonly string[]): string {
  for (const tag of wanted) {
    const found = lookUp(tag, ["en", ...there]);
    if (found) return found;
  }
  return "en";
}

/** Reads the texts of the first language that is wanted and there. */
export async function speakAsWanted(wanted: readonly string[]): Promise<void> {
  const nameOf = (file: string) => file.slice("./".length, -".json".length);
  const language = languageFor(wanted, Object.keys(translations).map(nameOf));
  const load = translations[`./${language}.json`];
  if (!load) return;
  await speak(language, await load());
  document.documentElement.lang = language;
}
