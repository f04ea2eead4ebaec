import { Box, Button } from "@mui/material";
import { useBook, useChange } from "../api/book";
import { useAnswer } from "../api/indexAnswer";
import type { Answer } from "../api/types";
import { count, groundSize, listed, paperSize } from "../api/words";
import { written } from "../numbers/written";
import { toldElsewhere } from "../api/toldElsewhere";
import { Banner } from "./Banner";
import { t } from "../texts/t";
import { rich } from "../texts/rich";

const reasons = { frame: t("the frame"), study: t("the data of the study area") };

// Which names a rebuilt index has besides, and which it has no more.
const difference = ({ come = [], go = [] }: Answer) =>
  `${come.length ? t("; adds %{value}", { value: listed(come, 4) }) : ""}${go.length ? t("; removes %{value}", { value: listed(go, 4) }) : ""}`;

/** The cells were generated with another frame, or over other data: what would follow, and the two ways on. */
export function OutOfStep() {
  const book = useBook();
  const { ask } = useChange();
  const { changed, frame_then } = book.index_state;
  const anew = useAnswer(null);
  const act = (path: string) => void ask(path, {}).catch(toldElsewhere);
  return (
    <Banner role="region" label={t("The index is out of date")}>
      <Box sx={{ flex: 1, fontSize: 14 }}>
        {rich(
          t(
            "The index is out of date: <1/> <2/> changed since it was generated<3/>. <4/> If you keep the cells, each sheet keeps its position and scale and is marked.",
          ),
          {
            1: <b>{changed.map((part) => reasons[part]).join(" and ")}</b>,
            2: changed.length === 1 ? t("has") : t("have"),
            3: changed.includes("frame") && frame_then && (
              <> {rich(t("(the frame was <1/>)"), { 1: paperSize(frame_then[0], frame_then[1]) })}</>
            ),
            4: anew.data ? (
              <>
                {rich(t("Rebuilding gives <1/> (now <2/>), each <3/><4/>."), {
                  1: <b>{count(anew.data.count, "sheet")}</b>,
                  2: written(book.cells.length),
                  3: groundSize(anew.data.sheet_width_m, anew.data.sheet_height_m),
                  4: difference(anew.data),
                })}
              </>
            ) : anew.error ? (
              anew.error.message
            ) : (
              "…"
            ),
          },
        )}
      </Box>
      <Button variant="contained" color="secondary" onClick={() => act("index/rebuild")}>
        {t("Rebuild the index")}
      </Button>
      <Button variant="outlined" onClick={() => act("index/keep")}>
        {t("Keep the cells")}
      </Button>
    </Banner>
  );
}
