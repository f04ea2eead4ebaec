import { Autocomplete, TextField } from "@mui/material";
import { useState } from "react";
import { useBook, useChange } from "../api/book";
import { languages } from "../generated/kinds";
import { languageOf } from "./languageOf";
import { t } from "../texts/t";

const titles: Record<string, string> = Object.fromEntries(languages);

/** In which language the pages say what they have of themselves: digits, dates, directions, words. */
export function BookLanguage() {
  const book = useBook();
  const { change } = useChange();
  const [problem, setProblem] = useState<string | null>(null);
  const language = book.document.language ?? "en";
  const known = languageOf(language);
  const keep = async (text: string | null) => {
    const tag = (text ?? "").trim();
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
      getOptionLabel={(code) => (titles[code] ? `${titles[code]} (${code})` : code)}
      value={language}
      onChange={(_, value) => void keep(value)}
      onBlur={(event) => {
        const typed = (event.target as HTMLInputElement).value;
        const chosen = languages.find(([code, title]) => typed === `${title} (${code})`)?.[0];
        void keep(chosen ?? typed);
      }}
      renderInput={(params) => (
        <TextField {...params} label={t("Language")} error={problem !== null} helperText={problem ?? note} />
      )}
    />
  );
}
