import { Box, Button } from "@mui/material";
import { useQuery } from "@tanstack/react-query";
import mergePatch from "json-merge-patch";
import { useCallback, useMemo, useState, type ReactNode } from "react";
import { useBook, useChange } from "../api/book";
import { post } from "../api/client";
import type { Answer, Cell, Extent, Index, ScaleCount } from "../api/types";
import { useAnswer, useCover, type IndexPatch } from "../api/indexAnswer";
import { area, count, groundSize, ratio, readScale } from "../api/words";
import { Card } from "../frame/Card";
import { useSheet } from "../frame/useSheet";
import { useShortcuts } from "../frame/useShortcuts";
import { areaInWords, partsOf } from "../api/area";
import { useAreaAttributes } from "../api/useAttributes";
import { GroundMap } from "../map/GroundMap";
import { CardValue } from "../statement/CardValue";
import { ChoiceValue } from "../statement/ChoiceValue";
import { EntryValue } from "../statement/EntryValue";
import { Statement } from "../statement/Statement";
import { CellCard } from "./CellCard";
import { CoverCard } from "./CoverCard";
import { NamesSettings } from "./NamesCard";
import { FeatureSettings, GridSettings, LayerSettings, SettingsCard, StripSettings } from "./SettingsCard";
import { useCells } from "./useCells";
import {
  CORNERS,
  gridInWords,
  KINDS,
  namesInWords,
  ORDERS,
  overlapAsText,
  overlapInWords,
  readGround,
  readOverlap,
  ruleInWords,
  stripInWords,
} from "./words";
import { filled } from "../fields/filled";
import { defaults } from "../generated/defaults";

type Open = "cell" | "settings" | "names" | "cover";

// Which cells cover the study area, at which scale.
export function WeaveStep() {
  const book = useBook();
  const { change } = useChange();
  const { cell: current, go } = useSheet();
  const [trial, setTrial] = useState<IndexPatch | null>(null);
  const [open, setOpen] = useState<Open>("cell");
  const [more, setMore] = useState<number[]>([]);
  const [adding, setAdding] = useState(false);
  const [place, setPlace] = useState<Extent | null>(null);
  const index = book.document.index;
  const shown = filled(index, defaults.index);
  const trialIndex = useMemo(
    () => (trial ? (mergePatch.apply(structuredClone(index), trial) as Index) : index),
    [index, trial],
  );
  const cover = useCover();
  const tried = useAnswer(trial, trial !== null);
  const keep = (label: string, patch: IndexPatch) => change(label, { index: patch });
  const offer = (patch: (value: number) => IndexPatch) => (value: number | null) =>
    setTrial(value === null ? null : patch(value));
  const problem = tried.error?.message;
  const foretold = trial && tried.data ? inWords(tried.data) : undefined;
  const cell = current ?? book.cells[0];
  const numbers = useMemo(() => [...new Set([...(cell ? [cell.number] : []), ...more])], [cell, more]);
  const selected = useMemo(() => book.cells.filter((known) => numbers.includes(known.number)), [book.cells, numbers]);
  const cells = useCells(numbers);
  const keys = useMemo(() => {
    const arrows = (prefix: string, by: number) => ({
      [`${prefix}ArrowLeft`]: () => cells.nudge(-by, 0),
      [`${prefix}ArrowRight`]: () => cells.nudge(by, 0),
      [`${prefix}ArrowUp`]: () => cells.nudge(0, by),
      [`${prefix}ArrowDown`]: () => cells.nudge(0, -by),
    });
    return open === "cell"
      ? {
          ...arrows("", 1),
          ...arrows("Shift+", 10),
          ...arrows("Alt+", 0.1),
          Delete: () => void cells.deed("remove").catch(() => undefined),
          Escape: () => {
            setMore([]);
            setAdding(false);
          },
        }
      : {};
  }, [cells, open]);
  useShortcuts(keys);
  const select = useCallback(
    (number: number, add: boolean) => {
      setOpen("cell");
      if (!add) {
        setMore([]);
        go(number);
      } else
        setMore((known) => (known.includes(number) ? known.filter((other) => other !== number) : [...known, number]));
    },
    [go],
  );
  const moved = useCallback((dx: number, dy: number) => cells.deed("move", { dx, dy }), [cells]);
  const add = useCallback(
    (x: number, y: number) => {
      setAdding(false);
      void cells.deed("add", { x, y }, []).catch(() => undefined);
    },
    [cells],
  );
  const parts = partsOf(index.area);
  const target = parts.length === 1 ? book.layers.find((layer) => layer.id === parts[0]!.layer) : undefined;
  const box = useMemo(() => around(book.cells, target?.box ?? null), [book.cells, target?.box]);
  const pieces = useMemo(() => cover.data?.pieces?.flatMap((piece) => piece.rings), [cover.data]);
  const show = (wanted: Open) => {
    setTrial(null);
    setOpen(wanted);
  };
  const settled = {
    foretold,
    answer: tried.data,
    problem,
    tried: trial !== null,
    onDrop: () => setTrial(null),
    onBack: () => show("cell"),
    index: trialIndex,
    onTry: (patch: IndexPatch) => setTrial((known) => mergePatch.merge(known ?? {}, patch) as IndexPatch),
  };
  const keepTrial = (label: string) => async () => {
    await keep(label, trial!);
    setTrial(null);
  };
  const { from: corner, start_deg } = filled(index.order, defaults.index_order);
  const order = index.order?.kind ?? (index.kind === "grid" ? "rows" : "as_generated");
  return (
    <>
      <Statement
        answer={
          trial && tried.data ? (
            <>
              It would be {answerLine(tried.data)} {tried.data.notes?.join(" ")}
            </>
          ) : cover.data ? (
            <Kept answer={cover.data} onOpen={() => show("cover")} />
          ) : cover.error ? (
            <b>{cover.error.message}</b>
          ) : (
            "…"
          )
        }
      >
        Cover{" "}
        <ChoiceValue
          label="Study area"
          value={typeof index.area === "string" ? index.area : ""}
          shown={areaInWords(book)}
          choices={book.document.layers.map((layer) => ({ value: layer.id, title: layer.title }))}
          onChoose={(id) => keep("Study area", { area: id })}
        />{" "}
        by{" "}
        <ChoiceValue
          label="Kind of index"
          value={index.kind}
          choices={[...KINDS]}
          onChoose={(kind) => keep("Kind of index", { kind: kind as "grid", naming: null, order: null })}
        />
        {", "}
        <CardValue
          label="How it lies"
          shown={
            index.kind === "strip"
              ? stripInWords(index)
              : index.kind === "features"
                ? ruleInWords(index)
                : index.kind === "layer"
                  ? "as they lie"
                  : gridInWords(index)
          }
          open={open === "settings"}
          onOpen={() => show("settings")}
        />
        {index.kind === "grid" && (
          <>
            , with a buffer of{" "}
            <EntryValue
              label="Buffer round the study area"
              shown={shown.buffer}
              text={shown.buffer}
              read={readGround}
              expected="Write a length with its unit, such as 50 m."
              onTry={(buffer) => setTrial(buffer === null ? null : { buffer })}
              onKeep={(buffer) => keep("Buffer", { buffer })}
              foretold={foretold}
              problem={problem}
            />
          </>
        )}
        {(index.kind !== "features" || shown.scale_rule.kind === "fixed") && (
          <>
            {" "}
            at{" "}
            <EntryValue
              label="Scale"
              shown={ratio(index.scale)}
              text={String(index.scale)}
              unit="1 : n"
              read={readScale}
              expected="Write a scale, such as 2500 or 1:2,500."
              onTry={offer((scale) => ({ scale }))}
              onKeep={(scale) => keep("Scale", { scale })}
              foretold={foretold}
              problem={problem}
            />
          </>
        )}
        {index.kind === "features" && shown.scale_rule.kind !== "fixed" && ","} held{" "}
        <ChoiceValue
          label="What the scale holds"
          value={shown.held}
          onChoose={(held) => keep("Scale held", { held: held as "projection" | "ellipsoid" })}
          choices={[
            { value: "projection", title: "on the projection", note: "as most printed maps" },
            { value: "ellipsoid", title: "on the ellipsoid", note: "at each sheet’s centre" },
          ]}
        />
        {index.kind !== "layer" && (
          <>
            , overlapping by{" "}
            <EntryValue
              label="Overlap of neighbours"
              shown={overlapInWords(index)}
              text={overlapAsText(index)}
              read={readOverlap}
              expected="Write 8 mm, 5 % or 20 m; or one for each way: 8 mm; 5 mm."
              onTry={(overlap) => setTrial(overlap === null ? null : { overlap })}
              onKeep={(overlap) => keep("Overlap", { overlap, overlap_mm: null })}
              foretold={foretold}
              problem={problem}
            />
          </>
        )}
        , named{" "}
        <CardValue label="Names" shown={namesInWords(book)} open={open === "names"} onOpen={() => show("names")} /> and
        taken{" "}
        <ChoiceValue
          label="Order"
          value={order}
          choices={[...ORDERS]}
          onChoose={(kind) => keep("Order", { order: { kind, from: corner, field: null } } as IndexPatch)}
        />
        {["rows", "columns", "rows_back_forth", "columns_back_forth"].includes(order) && (
          <>
            {" "}
            from{" "}
            <ChoiceValue
              label="Begins at"
              value={corner}
              choices={[...CORNERS]}
              onChoose={(from) => keep("Order", { order: { kind: order, from: from as typeof corner } })}
            />
          </>
        )}
        {["clockwise", "counter_clockwise"].includes(order) && (
          <>
            {" "}
            from a bearing of{" "}
            <EntryValue
              label="Bearing at which it begins"
              shown={`${start_deg}°`}
              text={String(start_deg)}
              unit="°"
              read={readBearing}
              expected="Write degrees from north, 0 to 360."
              onKeep={(start_deg) => keep("Order", { order: { kind: order, start_deg } })}
            />
          </>
        )}
        {order === "field" && (
          <>
            {" "}
            <AttributeValue
              index={index}
              onChoose={(attribute) => keep("Order", { order: { kind: order, field: attribute } })}
            />
          </>
        )}
        .
      </Statement>
      <Box sx={{ flex: 1, minHeight: 0, display: "flex", position: "relative" }}>
        <GroundMap
          clearLeft
          label="The cells of the index over the ground"
          box={place ?? box}
          cells={book.cells}
          ghosts={trial && tried.data ? tried.data.cells : null}
          selected={numbers}
          onSelect={adding || trial ? undefined : select}
          rings={open === "cover" ? pieces : undefined}
          onMoved={open === "cell" && !trial && !adding ? moved : undefined}
          onPick={adding ? add : undefined}
        />
        <Box sx={{ position: "absolute", left: 14, top: 14, display: "flex", gap: 0.5 }}>
          <Button
            variant={adding ? "contained" : "outlined"}
            aria-pressed={adding}
            onClick={() => setAdding(!adding)}
            sx={{ bgcolor: adding ? undefined : "background.paper" }}
          >
            {adding ? "Click the map where it is to be" : "Add a sheet"}
          </Button>
          <Button
            variant="outlined"
            aria-pressed={open === "cover"}
            onClick={() => show(open === "cover" ? "cell" : "cover")}
            sx={{ bgcolor: "background.paper" }}
          >
            Coverage and files
          </Button>
        </Box>
        {(index.kind !== "features" || shown.scale_rule.kind === "fixed") && (
          <Scales onChoose={(scale) => keep("Scale", { scale }).catch(() => undefined)} />
        )}
        {open === "settings" ? (
          <SettingsCard
            title={KINDS.find((kind) => kind.value === index.kind)!
              .title.replace(/^a /, "")
              .replace(/^./, (letter) => letter.toUpperCase())}
            {...settled}
            onKeep={keepTrial("How the index lies")}
          >
            {index.kind === "grid" ? (
              <GridSettings {...settled} />
            ) : index.kind === "strip" ? (
              <StripSettings {...settled} />
            ) : index.kind === "features" ? (
              <FeatureSettings {...settled} />
            ) : (
              <LayerSettings {...settled} />
            )}
          </SettingsCard>
        ) : open === "names" ? (
          <SettingsCard title="Names" {...settled} onKeep={keepTrial("Names")}>
            <NamesSettings index={trialIndex} tried={trial} onTry={settled.onTry} />
          </SettingsCard>
        ) : open === "cover" ? (
          <CoverCard
            onGo={setPlace}
            onPick={(number) => select(number, false)}
            onBack={() => {
              setPlace(null);
              show("cell");
            }}
          />
        ) : cell ? (
          <CellCard
            key={selected.map((known) => known.number).join()}
            selected={selected}
            cells={cells}
            onGone={() => setMore([])}
          />
        ) : (
          <Card title="No cell">
            <Box sx={{ fontSize: 14 }}>Choose a study area and a scale in the sentence above.</Box>
          </Card>
        )}
      </Box>
    </>
  );
}

// By which attribute of the features sheets are taken.
function AttributeValue({ index, onChoose }: { index: Index; onChoose: (attribute: string) => Promise<unknown> }) {
  const names = useAreaAttributes(index.area);
  return (
    <ChoiceValue
      label="Field of the order"
      value={index.order?.field ?? ""}
      shown={index.order?.field ?? "choose one"}
      choices={names.map((name) => ({ value: name, title: name }))}
      onChoose={onChoose}
    />
  );
}

const readBearing = (text: string) => {
  const bearing = Number(text.trim().replace("°", "").replace(",", "."));
  return text.trim() !== "" && bearing >= 0 && bearing <= 360 ? bearing : null;
};

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

const inWords = (answer: Answer) => `${count(answer.count, "sheet")} ${eachInWords(answer)}. ${leftOut(answer)}`;

function answerLine(answer: Answer): ReactNode {
  return (
    <>
      <b>{count(answer.count, "sheet")}</b>
      {answer.scales[0] !== answer.scales[1]
        ? ` ${eachInWords(answer)}`
        : `, each ${eachGround(answer)} of ground`}. <b>{leftOut(answer)}</b>
    </>
  );
}

function Kept({ answer, onOpen }: { answer: Answer; onOpen: () => void }) {
  const book = useBook();
  const byHand = book.cells.filter((cell) => cell.pinned).length;
  return (
    <>
      {answerLine(answer)}{" "}
      {book.document.index.kind === "grid" && (
        <>
          {count(answer.columns, "column")} by {count(answer.rows, "row")}
          {answer.columns * answer.rows > answer.count && (
            <>, {answer.columns * answer.rows - answer.count} positions empty</>
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

// Neighbouring scales and what they would take, so that none is found by trial and error.
function Scales({ onChoose }: { onChoose: (scale: number) => void }) {
  const book = useBook();
  const index = book.document.index;
  const scales = useQuery({
    queryKey: ["scales", book.id, index, book.frame.width_mm, book.frame.height_mm],
    queryFn: ({ signal }) => post<ScaleCount[]>(`/api/books/${book.id}/scales`, {}, { signal }),
    staleTime: Infinity,
    enabled: index.kind !== "layer",
  });
  if (!scales.data) return null;
  return (
    <Box
      component="section"
      aria-label="Neighbouring scales"
      sx={{
        position: "absolute",
        left: 14,
        bottom: 14,
        bgcolor: "background.paper",
        border: 1,
        borderColor: "divider",
        py: 0.5,
      }}
    >
      {scales.data.map(({ scale, count: sheets }) => {
        const here = scale === index.scale;
        return (
          <Box
            component="button"
            key={scale}
            disabled={here || sheets === null}
            onClick={() => onChoose(scale)}
            aria-current={here ? "true" : undefined}
            sx={{
              display: "grid",
              gridTemplateColumns: "70px 84px",
              textAlign: "left",
              border: 0,
              bgcolor: "transparent",
              font: "inherit",
              fontSize: 13,
              lineHeight: "24px",
              px: 1.5,
              py: 0,
              color: here ? "thread.main" : "text.primary",
              fontWeight: here ? 700 : 400,
              cursor: here ? "default" : "pointer",
              "&:hover:enabled": { bgcolor: "thread.soft" },
            }}
          >
            <span>{ratio(scale)}</span> <span>{sheets === null ? "too many" : count(sheets, "sheet")}</span>
          </Box>
        );
      })}
    </Box>
  );
}
