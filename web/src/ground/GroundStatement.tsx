import WarningIcon from "@mui/icons-material/WarningAmberOutlined";
import { Box } from "@mui/material";
import { areaInWords } from "../api/area";
import { useBook, useChange } from "../api/book";
import { count, groundSize } from "../api/words";
import { CardValue } from "../statement/CardValue";
import { EntryValue } from "../statement/EntryValue";
import { Statement } from "../statement/Statement";
import { ShiftsInWords } from "./Transformations";
import { t } from "../texts/t";
import { rich } from "../texts/rich";

/** The ground of the book as a sentence. open: the card that is. */
export function GroundStatement({ open, onOpen }: { open: string; onOpen: (kind: "reference" | "area") => void }) {
  const book = useBook();
  const { change } = useChange();
  const features = book.layers.reduce((sum, layer) => sum + layer.count, 0);
  return (
    <Statement
      answer={
        <>
          {rich(t("<1/> with <2/><3/>. <4/><5/> <6/>"), {
            1: <b>{count(book.layers.length, "layer")}</b>,
            2: count(features, "feature"),
            3: book.ground_m && <> {rich(t("over <1/>"), { 1: groundSize(...book.ground_m) })}</>,
            4: book.distortion?.words,
            5: <ShiftsInWords />,
            6: book.distortion?.warnings.map((warning) => <Warned key={warning} text={warning} />),
          })}
        </>
      }
    >
      {rich(t("The book <1/>, <2/>, is drawn in <3/> and covers <4/>."), {
        1: (
          <EntryValue
            label={t("Title of the book")}
            shown={book.document.title}
            text={book.document.title}
            read={nonEmpty}
            expected={t("Enter a title.")}
            onSave={(title) => change("Title", { title })}
          />
        ),
        2: (
          <EntryValue
            label={t("Subtitle")}
            shown={book.document.subtitle || t("no subtitle")}
            text={book.document.subtitle ?? ""}
            read={(text) => text.trim()}
            expected=""
            onSave={(subtitle) => change("Subtitle", { subtitle })}
          />
        ),
        3: (
          <CardValue
            label={t("CRS")}
            shown={book.reference.name}
            open={open === "reference"}
            onOpen={() => onOpen("reference")}
          />
        ),
        4: (
          <CardValue
            label={t("Study area")}
            shown={areaInWords(book)}
            open={open === "area"}
            onOpen={() => onOpen("area")}
          />
        ),
      })}
    </Statement>
  );
}

const nonEmpty = (text: string) => (text.trim() === "" ? null : text.trim());

function Warned({ text }: { text: string }) {
  return (
    <Box component="span" sx={{ color: "warning.main", fontWeight: 600, ml: 0.5 }}>
      <WarningIcon sx={{ fontSize: 15, verticalAlign: "-2px", mr: 0.25 }} />
      {text}
    </Box>
  );
}
