import { Button } from "@mui/material";
import { useBook, useChange } from "../api/book";
import type { FreePage } from "../api/types";
import { toldElsewhere } from "../api/toldElsewhere";
import { Choice } from "../fields/Choice";
import { Field } from "../fields/Field";
import { Flag } from "../fields/Flag";
import { filled } from "../fields/filled";
import { Pair } from "../fields/Pair";
import { useSheet } from "../frame/useSheet";
import { defaults } from "../generated/defaults";
import { choices } from "../generated/choices";
import { t } from "../texts/t";

/** Where a page beside the sheets stands in the book. */
/** Title, place and number of a page beside the sheets. */
export function FreePageFields({ page }: { page: FreePage }) {
  const book = useBook();
  const { change } = useChange();
  const { go } = useSheet();
  const shown = filled(page, defaults.free_page);
  const pages = book.document.pages ?? [];
  const keep = (patch: Partial<FreePage>, label: string) =>
    change(label, { pages: pages.map((known) => (known.id === page.id ? { ...known, ...patch } : known)) });
  return (
    <div style={{ display: "grid", gap: 8, marginBottom: 16 }}>
      <Field
        label={t("Title")}
        value={page.title}
        onSave={async (title) => {
          if (title.trim() === "") throw new Error(t("Enter a title."));
          await keep({ title: title.trim() }, "Title of a page");
        }}
      />
      <Pair>
        <Choice
          label={t("Position in the book")}
          value={shown.place}
          choices={choices.free_page.place}
          onChoose={(place) =>
            keep(
              {
                place,
                sheet: place === "before_sheet" ? (page.sheet ?? book.cells[0]?.name ?? "A1") : undefined,
              },
              "Place of a page",
            )
          }
        />
        <Choice
          label={t("Begins on")}
          value={shown.starts}
          choices={choices.free_page.starts}
          onChoose={(starts) => keep({ starts }, "Side of a page")}
        />
        {shown.place === "before_sheet" && (
          <Field
            label={t("Name of the sheet")}
            value={page.sheet ?? ""}
            onSave={(sheet) => keep({ sheet: sheet.trim() }, "Place of a page")}
          />
        )}
      </Pair>
      <Flag
        label={t("Include in page numbering")}
        value={shown.numbered}
        onSave={(numbered) => keep({ numbered }, "Number of a page")}
      />
      <Button
        color="error"
        sx={{ justifySelf: "start" }}
        onClick={() => {
          go(1);
          void change("Remove a page", { pages: pages.filter((known) => known.id !== page.id) }).catch(toldElsewhere);
        }}
      >
        {t("Remove this page")}
      </Button>
    </div>
  );
}
