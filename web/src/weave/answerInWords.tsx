import { Button } from "@mui/material";
import type { ReactNode } from "react";
import { useBook } from "../api/book";
import type { Answer } from "../api/types";
import { area, count, groundSize, ratio } from "../api/words";
import { t } from "../texts/t";
import { rich } from "../texts/rich";

// Areas by their size, and features of every kind by their number.
const leftOut = (answer: Answer) => {
  const lost = [
    ...(answer.left_out_m2 > 0 ? [t("%{left_out_m2} left out", { left_out_m2: area(answer.left_out_m2) })] : []),
    ...answer.left_out,
  ];
  return lost.length > 0 ? `${lost.join("; ")}.` : t("Nothing left out.");
};

// Sheets that show up to so much more or less are told as alike.
const ALIKE = 0.001;
const percent = new Intl.NumberFormat("en-GB", { maximumSignificantDigits: 2 });

function eachGround({ sheet_width_m, sheet_height_m, sheet_spread }: Answer): string {
  const size = groundSize(sheet_width_m, sheet_height_m);
  return sheet_spread < ALIKE
    ? size
    : t("about %{size} (within %{value} %)", { size, value: percent.format(Math.ceil(sheet_spread * 1000) / 10) });
}

// Sheets of one scale show so much ground each; of several, the scales are told.
const eachInWords = ({ scales: [least, most], sheet_width_m, sheet_height_m }: Answer) =>
  least !== undefined && most !== undefined && least !== most
    ? t("at %{least} to %{most}", { least: ratio(least), most: ratio(most) })
    : t("of %{value}", { value: groundSize(sheet_width_m, sheet_height_m) });

/** What an index would come to, in a sentence. */
export const foretoldInWords = (answer: Answer) =>
  `${count(answer.count, "sheet")} ${eachInWords(answer)}. ${leftOut(answer)}`;

/** What an index comes to, in a sentence. */
export function answerLine(answer: Answer): ReactNode {
  return (
    <>
      <b>{count(answer.count, "sheet")}</b>
      {answer.scales[0] !== answer.scales[1]
        ? ` ${eachInWords(answer)}`
        : t(", each %{answer} of ground", { answer: eachGround(answer) })}
      . <b>{leftOut(answer)}</b>
    </>
  );
}

/** What the cells as they are come to. */
export function CoverageLine({ answer, onOpen }: { answer: Answer; onOpen: () => void }) {
  const book = useBook();
  const byHand = book.cells.filter((cell) => cell.pinned).length;
  return (
    <>
      {answerLine(answer)}{" "}
      {book.document.index.kind === "grid" && (
        <>
          {rich(t("<1/> by <2/><3/>."), {
            1: count(answer.columns, "column"),
            2: count(answer.rows, "row"),
            3: answer.columns * answer.rows > answer.count && (
              <>{rich(t(", <1/> empty"), { 1: count(answer.columns * answer.rows - answer.count, "position") })}</>
            ),
          })}{" "}
        </>
      )}
      {byHand > 0 && <>{rich(t("<1/> pinned."), { 1: count(byHand, "cell") })} </>}
      {answer.pieces && answer.pieces.length > 0 && (
        <Button onClick={onOpen} sx={{ py: 0, px: 0.5, minHeight: 26, fontSize: "inherit" }}>
          {rich(t("See the <1/>"), { 1: count(answer.pieces.length, "piece") })}
        </Button>
      )}
    </>
  );
}
