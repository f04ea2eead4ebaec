import { Button } from "@mui/material";
import { useBook, useChange } from "../api/book";
import type { IndexPages } from "../api/types";
import { toldElsewhere } from "../api/toldElsewhere";
import { Choice } from "../fields/Choice";
import { Flag } from "../fields/Flag";
import { filled } from "../fields/filled";
import { Measured } from "../fields/Measured";
import { Pair } from "../fields/Pair";
import { defaults } from "../generated/defaults";
import { limits } from "../generated/limits";
import { choices } from "../generated/choices";
import { t } from "../texts/t";

/** Where the index sheet stands in the book, and in how many parts. */
export function IndexPagesFields() {
  const book = useBook();
  const { change, ask } = useChange();
  const given = book.document.index_pages;
  const shown = filled(given, defaults.index_pages);
  const keep = (patch: Partial<IndexPages>, label: string) => change(label, { index_pages: { ...given, ...patch } });
  return (
    <div style={{ display: "grid", gap: 8, marginBottom: 16 }}>
      <Choice
        label={t("Position in the book")}
        value={shown.place}
        choices={choices.index_pages.place}
        onChoose={(place) => keep({ place }, "Place of the index sheet")}
      />
      <Pair>
        <Measured
          label={t("Parts across")}
          value={shown.across}
          limits={limits.index_pages.across}
          onSave={(across) => keep({ across: Math.round(across) }, "Parts of the index sheet")}
        />
        <Measured
          label={t("Parts down")}
          value={shown.down}
          limits={limits.index_pages.down}
          onSave={(down) => keep({ down: Math.round(down) }, "Parts of the index sheet")}
        />
      </Pair>
      <Flag
        label={t("Include in page numbering")}
        value={shown.numbered}
        onSave={(numbered) => keep({ numbered }, "Number of the index sheet")}
      />
      <Button
        variant="outlined"
        sx={{ justifySelf: "start" }}
        onClick={() => void ask("layout/index/from-sheets", {}).catch(toldElsewhere)}
      >
        {t("Start from the sheets’ design")}
      </Button>
    </div>
  );
}
