import { Autocomplete, TextField } from "@mui/material";
import { useState } from "react";
import { useBook, useChange } from "../api/book";
import { languages } from "../generated/kinds";
import { languageOf } from "./languageOf";
import { t } from "../texts/t";

const titles: Record<string, string> = Object.fromEntries(languages);

const shown = (code: string) => (titles[code] ? `${titles[code]} (${code})` : code);

/** In which language the pages say what they have of themselves: digits, dates, directions, words. */
export function BookLanguage() {
  const book = useBook();
  const { change } = useChange();
  const [problem, setProblem] = useState<string | null>(null);
  const language = book.document.language ?? "en";
  const known = languageOf(language);
  const keep = async (text: string | null) => {
    const typed = (text ?? "").trim();
    // What is shown of one of the list may have been typed, or left as it was.
    const tag = languages.find(([code]) => typed === shown(code))?.[0] ?? typed;
    if (tag === "" || tag === language) return;
    try {
      await change("Language", { language: tag });
      setProblem(null);
    } catch (error) {
      setProblem((error as Error).message);
    }
  };
  const note = known
    ? t("Numbers, dates and words on the pages are in %{known}.", { known: titles[known] })
    : t("Numbers, dates and words on the pages are in English: they cannot be written in this language.");
  return (
    <Autocomplete
      freeSolo
      options={languages.map(([code]) => code)}
      // All of them, whatever the field says.
      filterOptions={(options) => options}
      getOptionLabel={shown}
      value={language}
      onChange={(_, value) => void keep(value)}
      onBlur={(event) => void keep((event.target as HTMLInputElement).value)}
      renderInput={(params) => (
        <TextField {...params} label={t("Language")} error={problem !== null} helperText={problem ?? note} />
      )}
    />
  );
}
