import { Box } from "@mui/material";
import { useBook, useChange } from "../api/book";
import { Field } from "../fields/Field";
import { Heading } from "../frame/Card";
import { BookLanguage } from "./BookLanguage";
import { OwnFields } from "./OwnFields";
import { t } from "../texts/t";

const TEXTS = [
  ["author", t("Author")],
  ["edition", t("Edition or revision")],
  ["date", t("Date, as 2026-04-01")],
  ["source", t("Source and credit")],
  ["description", t("Description of the book")],
] as const;

/** What the book's live texts say. */
export function BookTexts() {
  const book = useBook();
  const { change } = useChange();
  return (
    <>
      <Heading text={t("Texts of the book")} />
      <Box sx={{ display: "grid", gap: 1 }}>
        {TEXTS.map(([name, title]) => (
          <Field
            key={name}
            label={title}
            value={book.document[name] ?? ""}
            multiline={name === "source" || name === "description"}
            onSave={(text) => change(title, { [name]: text.trim() })}
          />
        ))}
        <BookLanguage />
      </Box>
      <OwnFields />
    </>
  );
}
