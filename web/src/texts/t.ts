import i18next from "i18next";

// The texts of the interface stand in the code in English, and are looked up by that in the catalogue of another
// language. Values come in as in the core's sentences: %{name}.
void i18next.init({
  lng: "en",
  fallbackLng: false,
  initAsync: false,
  keySeparator: false,
  nsSeparator: false,
  contextSeparator: "\u0001",
  interpolation: { escapeValue: false, prefix: "%{", suffix: "}", nestingPrefix: "\u0001(", nestingSuffix: "\u0001)" },
  resources: {},
});

/** A text of the interface in its language. values: by their names in the text. */
export const t = (english: string, values?: Record<string, unknown>): string => i18next.t(english, values ?? {});

/** "1 sheet", "27 sheets": the form for a number by the rules of the language; shown: the number as it is read. */
export const counted = (number: number, shown: string, one: string, many: string): string =>
  i18next.t(`%{shown} ${many}`, {
    count: number,
    shown,
    defaultValue_one: `%{shown} ${one}`,
    defaultValue_other: `%{shown} ${many}`,
  });

/** The texts of another language: English text → text, plurals as i18next has them ("%{shown} sheets_one"). */
export async function speak(language: string, texts: Record<string, string>): Promise<void> {
  i18next.addResourceBundle(language, "translation", texts);
  await i18next.changeLanguage(language);
}
