import { Box, Button } from "@mui/material";
import { useCallback, useMemo, useState } from "react";
import { partsOf } from "../api/area";
import { useBook } from "../api/book";
import { useCover } from "../api/indexAnswer";
import type { Cell, Extent } from "../api/types";
import { toldElsewhere } from "../api/toldElsewhere";
import { filled } from "../fields/filled";
import { defaults } from "../generated/defaults";
import { GroundMap } from "../map/GroundMapLater";
import { IndexCard, type Open } from "./IndexCard";
import { IndexStatement } from "./IndexStatement";
import { Scales } from "./Scales";
import { CoverageLine, answerLine } from "./answerInWords";
import { useCellSelection } from "./useCellSelection";
import { useIndexTrial } from "./useIndexTrial";
import { t } from "../texts/t";
import { rich } from "../texts/rich";

/** Which cells cover the study area, at which scale. */
export function WeaveStep() {
  const book = useBook();
  const trial = useIndexTrial();
  const cover = useCover();
  const [open, setOpen] = useState<Open>("cell");
  const [adding, setAdding] = useState(false);
  const [place, setPlace] = useState<Extent | null>(null);
  const endAdding = useCallback(() => setAdding(false), []);
  const selection = useCellSelection(open === "cell", endAdding);
  const { cells, select: selectCell } = selection;
  const index = book.document.index;
  const byScale = index.kind !== "features" || filled(index, defaults.index).scale_rule.kind === "fixed";
  const moved = useCallback((dx: number, dy: number) => cells.deed("move", { dx, dy }), [cells]);
  const add = useCallback(
    (x: number, y: number) => {
      setAdding(false);
      void cells.deed("add", { x, y }, []).catch(toldElsewhere);
    },
    [cells],
  );
  const select = useCallback(
    (number: number, more: boolean) => {
      setOpen("cell");
      selectCell(number, more);
    },
    [selectCell],
  );
  const parts = partsOf(index.area);
  const target = parts.length === 1 ? book.layers.find((layer) => layer.id === parts[0]!.layer) : undefined;
  const box = useMemo(() => around(book.cells, target?.box ?? null), [book.cells, target?.box]);
  const pieces = useMemo(() => cover.data?.pieces?.flatMap((piece) => piece.rings), [cover.data]);
  const show = (wanted: Open) => {
    trial.drop();
    setOpen(wanted);
  };
  const tried = trial.trial !== null;
  return (
    <>
      <IndexStatement
        trial={trial}
        open={open}
        onOpen={show}
        answer={
          tried && trial.answer ? (
            <>{rich(t("It would be <1/> <2/>"), { 1: answerLine(trial.answer), 2: trial.answer.notes?.join(" ") })}</>
          ) : cover.data ? (
            <CoverageLine answer={cover.data} onOpen={() => show("cover")} />
          ) : cover.error ? (
            <b>{cover.error.message}</b>
          ) : (
            "…"
          )
        }
      />
      <Box sx={{ flex: 1, minHeight: 0, display: "flex", position: "relative" }}>
        <GroundMap
          clearLeft
          label={t("The cells of the index over the ground")}
          box={place ?? box}
          cells={book.cells}
          ghosts={tried && trial.answer ? trial.answer.cells : null}
          selected={selection.numbers}
          onSelect={adding || tried ? undefined : select}
          rings={open === "cover" ? pieces : undefined}
          onMoved={open === "cell" && !tried && !adding ? moved : undefined}
          onPick={adding ? add : undefined}
        />
        <Box sx={{ position: "absolute", left: 14, top: 14, display: "flex", gap: 0.5 }}>
          <Button
            variant={adding ? "contained" : "outlined"}
            aria-pressed={adding}
            onClick={() => setAdding(!adding)}
            sx={{ bgcolor: adding ? undefined : "background.paper" }}
          >
            {adding ? t("Click on the map to place it") : t("Add a cell")}
          </Button>
          <Button
            variant="outlined"
            aria-pressed={open === "cover"}
            onClick={() => show(open === "cover" ? "cell" : "cover")}
            sx={{ bgcolor: "background.paper" }}
          >
            {t("Coverage and files")}
          </Button>
        </Box>
        {byScale && <Scales onChoose={(scale) => trial.keep("Scale", { scale }).catch(toldElsewhere)} />}
        <IndexCard
          open={open}
          trial={trial}
          selection={selection}
          onBack={() => show("cell")}
          onGo={setPlace}
          onPick={(number) => select(number, false)}
        />
      </Box>
    </>
  );
}

const around = (cells: Cell[], area: Extent | null): Extent | null => {
  if (cells.length === 0) return area;
  const box: Extent = [Infinity, Infinity, -Infinity, -Infinity];
  for (const cell of cells)
    for (const [x, y] of cell.corners) {
      box[0] = Math.min(box[0], x);
      box[1] = Math.min(box[1], y);
      box[2] = Math.max(box[2], x);
      box[3] = Math.max(box[3], y);
    }
  return box;
};
