import { Box, Button } from "@mui/material";
import { useBook, useChange } from "../api/book";
import { useAnswer } from "../api/indexAnswer";
import type { Answer } from "../api/types";
import { count, groundSize, listed, mm } from "../api/words";
import { toldElsewhere } from "../api/toldElsewhere";
import { Banner } from "./Banner";

const reasons = { frame: "the frame", study: "the data of the study area" };

// Which names come and go.
const difference = ({ come = [], go = [] }: Answer) =>
  `${come.length ? `; ${listed(come, 4)} come` : ""}${go.length ? `; ${listed(go, 4)} go` : ""}`;

/** The cells were generated with another frame, or over other data: what would follow, and the two ways on. */
export function OutOfStep() {
  const book = useBook();
  const { ask } = useChange();
  const { changed, frame_then } = book.index_state;
  const anew = useAnswer(null);
  const act = (path: string) => void ask(path, {}).catch(toldElsewhere);
  return (
    <Banner role="region" label="The index is out of step">
      <Box sx={{ flex: 1, fontSize: 14 }}>
        Since the index was generated, <b>{changed.map((part) => reasons[part]).join(" and ")} changed</b>
        {changed.includes("frame") && frame_then && (
          <>
            {" "}
            (it was {mm(frame_then[0])} × {mm(frame_then[1])})
          </>
        )}
        .{" "}
        {anew.data ? (
          <>
            Rebuilt, {count(book.cells.length, "sheet")} become <b>{count(anew.data.count, "sheet")}</b> of{" "}
            {groundSize(anew.data.sheet_width_m, anew.data.sheet_height_m)}
            {difference(anew.data)}.
          </>
        ) : anew.error ? (
          anew.error.message
        ) : (
          "…"
        )}{" "}
        Left as they are, the sheets keep their place and scale, and each is marked.
      </Box>
      <Button variant="contained" color="secondary" onClick={() => act("index/rebuild")}>
        Rebuild the index
      </Button>
      <Button variant="outlined" onClick={() => act("index/keep")}>
        Leave the cells
      </Button>
    </Banner>
  );
}
