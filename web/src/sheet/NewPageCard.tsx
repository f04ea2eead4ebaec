import BackIcon from "@mui/icons-material/ArrowBack";
import { Button } from "@mui/material";
import { useState } from "react";
import { useChange } from "../api/book";
import type { Book, FreePage } from "../api/types";
import { Choice } from "../fields/Choice";
import { Field } from "../fields/Field";
import { Card } from "../frame/Card";
import { useSheet } from "../frame/useSheet";
import { pageDesigns } from "../generated/kinds";
import { choices } from "../generated/choices";
import { t } from "../texts/t";

type Design = (typeof pageDesigns)[number] | "";

// What each ready-made design is for, and where such a page usually stands.
const DESIGNS: Record<(typeof pageDesigns)[number], { title: string; place: NonNullable<FreePage["place"]> }> = {
  "back-cover": { title: t("Back cover"), place: "back" },
  contents: { title: t("Contents"), place: "before_sheets" },
  cover: { title: t("Cover"), place: "front" },
  notes: { title: t("Notes"), place: "before_sheets" },
  "title-page": { title: t("Title page"), place: "front" },
};

/** One more page beside the sheets. */
export function NewPageCard({ onDone }: { onDone: () => void }) {
  const { ask } = useChange();
  const { go } = useSheet();
  const [design, setDesign] = useState<Design>("cover");
  const [title, setTitle] = useState("");
  const [place, setPlace] = useState<NonNullable<FreePage["place"]>>("front");
  const [sheet, setSheet] = useState("");
  const [wrong, setWrong] = useState<string | null>(null);
  const called = title.trim() || (design === "" ? t("Empty page") : DESIGNS[design].title);
  const make = async () => {
    try {
      setWrong(null);
      const answer = await ask<Book & { made: string[] }>("pages", {
        title: called,
        place,
        ...(place === "before_sheet" && { sheet: sheet.trim() }),
        ...(design !== "" && { design }),
      });
      const made = answer.pages.find((known) => known.page === answer.made[0] && known.kind === "page");
      if (made) go(made.number);
      onDone();
    } catch (error) {
      setWrong((error as Error).message);
    }
  };
  return (
    <Card help="newPage" title={t("New page")}>
      <Button startIcon={<BackIcon />} onClick={onDone} sx={{ mb: 1 }}>
        {t("The page")}
      </Button>
      <div style={{ display: "grid", gap: 10 }}>
        <Choice
          label={t("Starts as")}
          value={design}
          choices={[
            ...pageDesigns.map((known) => [known, DESIGNS[known].title] as const),
            ["", t("Empty page")] as const,
          ]}
          onChoose={async (chosen) => {
            setDesign(chosen);
            if (chosen !== "") setPlace(DESIGNS[chosen].place);
          }}
        />
        <Field label={t("Title")} value={title} placeholder={called} onSave={async (text) => setTitle(text)} />
        <Choice
          label={t("Position in the book")}
          value={place}
          choices={choices.free_page.place}
          onChoose={async (chosen) => setPlace(chosen)}
        />
        {place === "before_sheet" && (
          <Field label={t("Name of the sheet")} value={sheet} onSave={async (text) => setSheet(text)} />
        )}
        {wrong && (
          <span role="alert" style={{ fontSize: 13 }}>
            {wrong}
          </span>
        )}
        <Button variant="contained" onClick={() => void make()}>
          {t("Add the page")}
        </Button>
      </div>
    </Card>
  );
}
