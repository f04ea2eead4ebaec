import { Box, Button } from "@mui/material";
import { useBook, useChange } from "../api/book";
import { useAnswer } from "../api/indexAnswer";
import type { Answer } from "../api/types";
import { count, groundSize, listed, paperSize } from "../api/words";
import { written } from "../numbers/written";
import { toldElsewhere } from "../api/toldElsewhere";
import { Banner } from "./Banner";

const reasons = { frame: "the frame", study: "the data of the study area" };

// Which names a rebuilt index has besides, and which it has no more.
const difference = ({ come = [], go = [] }: Answer) =>
  `${come.length ? `; adds ${listed(come, 4)}` : ""}${go.length ? `; removes ${listed(go, 4)}` : ""}`;

/** The cells were generated with another frame, or over other data: what would follow, and the two ways on. */
export function OutOfStep() {
  const book = useBook();
  const { ask } = useChange();
  const { changed, frame_then } = book.index_state;
  const anew = useAnswer(null);
  const act = (path: string) => void ask(path, {}).catch(toldElsewhere);
  return (
    <Banner role="region" label="The index is out of date">
      <Box sx={{ flex: 1, fontSize: 14 }}>
        The index is out of date: <b>{changed.map((part) => reasons[part]).join(" and ")}</b>{" "}
        {changed.length === 1 ? "has" : "have"} changed since it was generated
        {changed.includes("frame") && frame_then && (
          <> (the frame was {paperSize(frame_then[0], frame_then[1])})</>
        )}.{" "}
        {anew.data ? (
          <>
            Rebuilding gives <b>{count(anew.data.count, "sheet")}</b> (now {written(book.cells.length)}
            ), each {groundSize(anew.data.sheet_width_m, anew.data.sheet_height_m)}
            {difference(anew.data)}.
          </>
        ) : anew.error ? (
          anew.error.message
        ) : (
          "…"
        )}{" "}
        If you keep the cells, each sheet keeps its position and scale and is marked.
      </Box>
      <Button variant="contained" color="secondary" onClick={() => act("index/rebuild")}>
        Rebuild the index
      </Button>
      <Button variant="outlined" onClick={() => act("index/keep")}>
        Keep the cells
      </Button>
    </Banner>
  );
}
