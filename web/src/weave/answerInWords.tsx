import { Button } from "@mui/material";
import type { ReactNode } from "react";
import { useBook } from "../api/book";
import type { Answer } from "../api/types";
import { area, count, groundSize, ratio } from "../api/words";

// Areas by their size, and features of every kind by their number.
const leftOut = (answer: Answer) => {
  const lost = [...(answer.left_out_m2 > 0 ? [`${area(answer.left_out_m2)} left out`] : []), ...answer.left_out];
  return lost.length > 0 ? `${lost.join("; ")}.` : "Nothing left out.";
};

// Sheets that show up to so much more or less are told as alike.
const ALIKE = 0.001;
const percent = new Intl.NumberFormat("en-GB", { maximumSignificantDigits: 2 });

function eachGround({ sheet_width_m, sheet_height_m, sheet_spread }: Answer): string {
  const size = groundSize(sheet_width_m, sheet_height_m);
  return sheet_spread < ALIKE
    ? size
    : `about ${size} (within ${percent.format(Math.ceil(sheet_spread * 1000) / 10)} %)`;
}

// Sheets of one scale show so much ground each; of several, the scales are told.
const eachInWords = ({ scales: [least, most], sheet_width_m, sheet_height_m }: Answer) =>
  least !== undefined && most !== undefined && least !== most
    ? `at ${ratio(least)} to ${ratio(most)}`
    : `of ${groundSize(sheet_width_m, sheet_height_m)}`;

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
        : `, each ${eachGround(answer)} of ground`}. <b>{leftOut(answer)}</b>
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
          {count(answer.columns, "column")} by {count(answer.rows, "row")}
          {answer.columns * answer.rows > answer.count && (
            <>, {count(answer.columns * answer.rows - answer.count, "position")} empty</>
          )}
          .{" "}
        </>
      )}
      {byHand > 0 && <>{count(byHand, "cell")} pinned. </>}
      {answer.pieces && answer.pieces.length > 0 && (
        <Button onClick={onOpen} sx={{ py: 0, px: 0.5, minHeight: 26, fontSize: "inherit" }}>
          See the {count(answer.pieces.length, "piece")}
        </Button>
      )}
    </>
  );
}
