import WarningIcon from "@mui/icons-material/WarningAmberOutlined";
import { Box } from "@mui/material";
import { areaInWords } from "../api/area";
import { useBook, useChange } from "../api/book";
import { count, groundSize } from "../api/words";
import { CardValue } from "../statement/CardValue";
import { EntryValue } from "../statement/EntryValue";
import { Statement } from "../statement/Statement";
import { ShiftsInWords } from "./Transformations";

/** The ground of the book as a sentence. open: the card that is. */
export function GroundStatement({ open, onOpen }: { open: string; onOpen: (kind: "reference" | "area") => void }) {
  const book = useBook();
  const { change } = useChange();
  const features = book.layers.reduce((sum, layer) => sum + layer.count, 0);
  return (
    <Statement
      answer={
        <>
          <b>{count(book.layers.length, "layer")}</b> with {count(features, "feature")}
          {book.ground_m && <> over {groundSize(...book.ground_m)}</>}. {book.distortion?.words}
          <ShiftsInWords />{" "}
          {book.distortion?.warnings.map((warning) => (
            <Warned key={warning} text={warning} />
          ))}
        </>
      }
    >
      The book{" "}
      <EntryValue
        label="Title of the book"
        shown={book.document.title}
        text={book.document.title}
        read={nonEmpty}
        expected="Enter a title."
        onSave={(title) => change("Title", { title })}
      />
      ,{" "}
      <EntryValue
        label="Subtitle"
        shown={book.document.subtitle || "no subtitle"}
        text={book.document.subtitle ?? ""}
        read={(text) => text.trim()}
        expected=""
        onSave={(subtitle) => change("Subtitle", { subtitle })}
      />
      , is drawn in{" "}
      <CardValue
        label="CRS"
        shown={book.reference.name}
        open={open === "reference"}
        onOpen={() => onOpen("reference")}
      />{" "}
      and covers{" "}
      <CardValue label="Study area" shown={areaInWords(book)} open={open === "area"} onOpen={() => onOpen("area")} />.
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
