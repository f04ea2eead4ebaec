import { Box, Button } from "@mui/material";
import { useQuery } from "@tanstack/react-query";
import { useMemo, useState, type ReactNode } from "react";
import { Link } from "react-router";
import { useBook, useChange } from "../api/book";
import { post, Refusal } from "../api/client";
import type { Answer, BookDocument, Cell, Patch, ScaleCount } from "../api/types";
import { area, coordinate, count, groundSize, mm, ratio, readNumber, readScale } from "../api/words";
import { Card, Row } from "../frame/Card";
import { useSheet } from "../frame/useSheet";
import { TrueScale } from "./TrueScale";
import { GroundMap } from "../map/GroundMap";
import { ChoiceValue } from "../statement/ChoiceValue";
import { EntryValue } from "../statement/EntryValue";
import { Statement } from "../statement/Statement";

type IndexPatch = NonNullable<Patch<BookDocument>["index"]>;

// Which cells cover the study area, at which scale.
export function WeaveStep() {
  const book = useBook();
  const { change } = useChange();
  const { cell, go } = useSheet();
  const [trial, setTrial] = useState<IndexPatch | null>(null);
  const index = book.document.index;
  const kept = useAnswer(null);
  const tried = useAnswer(trial);
  const keep = (label: string, patch: IndexPatch) => change(label, { index: patch });
  const offer = (patch: (value: number) => IndexPatch) => (value: number | null) => setTrial(value === null ? null : patch(value));
  const problem = tried.error?.message;
  const foretold = trial && tried.data ? inWords(tried.data) : undefined;
  const target = book.layers.find((layer) => layer.id === index.area);
  const box = useMemo(() => around(book.cells, target?.box ?? null), [book.cells, target?.box]);
  return (
    <>
      <Statement answer={trial && tried.data ? <>It would be {answerLine(tried.data)}</> : kept.data ? <Kept answer={kept.data} /> : kept.error ? <b>{kept.error.message}</b> : "…"}>
        Cover{" "}
        <ChoiceValue label="Study area" value={index.area} choices={book.document.layers.map((layer) => ({ value: layer.id, title: layer.title }))} onChoose={(id) => keep("Study area", { area: id })} />
        {" "}with{" "}
        <EntryValue label="Room round the study area" shown={index.room ?? "0 m"} text={index.room ?? "0 m"} read={readLength} expected="Write a length with its unit, such as 50 m." onTry={(room) => setTrial(room === null ? null : { room })} onKeep={(room) => keep("Room", { room })} foretold={foretold} problem={problem} />
        {" "}to spare at{" "}
        <EntryValue label="Scale" shown={ratio(index.scale)} text={String(index.scale)} unit="1 : n" read={readScale} expected="Write a scale, such as 2500 or 1:2,500." onTry={offer((scale) => ({ scale }))} onKeep={(scale) => keep("Scale", { scale })} foretold={foretold} problem={problem} />
        {" "}true to{" "}
        <ChoiceValue label="What the scale holds" value={index.held ?? "projection"} onChoose={(held) => keep("Scale held", { held: held as "projection" | "ground" })}
          choices={[{ value: "projection", title: "the map grid", note: "as most printed maps" }, { value: "ground", title: "the ground", note: "at each sheet’s centre" }]} />
        , overlapping by{" "}
        <EntryValue label="Overlap of neighbours" shown={mm(index.overlap_mm ?? 0)} text={String(index.overlap_mm ?? 0)} unit="mm" read={readNumber} expected="Write millimetres on paper, such as 8." onTry={offer((overlap_mm) => ({ overlap_mm }))} onKeep={(overlap_mm) => keep("Overlap", { overlap_mm })} foretold={foretold} problem={problem} />
        , named <b>A1, B1…</b> and taken <b>row by row</b> from the <b>north-west</b>.
      </Statement>
      <Box sx={{ flex: 1, minHeight: 0, display: "flex", position: "relative" }}>
        <GroundMap label="The cells of the index over the ground" box={box} cells={book.cells} ghosts={trial && tried.data ? tried.data.cells : null} selected={cell?.number} onSelect={go} />
        <Scales onChoose={(scale) => keep("Scale", { scale }).catch(() => undefined)} />
        {cell ? <CellCard cell={cell} /> : <Card title="No cell"><Box sx={{ fontSize: 14 }}>Choose a study area and a scale in the sentence above.</Box></Card>}
      </Box>
    </>
  );
}

// What an index would come to; null asks about the one that is kept.
function useAnswer(index: IndexPatch | null) {
  const book = useBook();
  return useQuery<Answer, Refusal>({
    queryKey: ["weave", book.id, book.revision, index],
    queryFn: ({ signal }) => post<Answer>(`/api/books/${book.id}/weave`, { patch: index ? { index } : {} }, "POST", signal),
    retry: false,
    staleTime: Infinity,
  });
}

const readLength = (text: string) => {
  const plain = text.trim();
  if (/^\d+(\.\d+)?$/.test(plain)) return `${plain} m`;
  return /^\d+(\.\d+)?\s*(mm|in|pt|m|km|ft|us-ft|yd|mi|nmi)$/.test(plain) ? plain : null;
};

const leftOut = (answer: Answer) => (answer.left_out_m2 > 0 ? `${area(answer.left_out_m2)} left out.` : "Nothing left out.");

const inWords = (answer: Answer) => `${count(answer.count, "sheet")} of ${groundSize(answer.sheet_width_m, answer.sheet_height_m)}. ${leftOut(answer)}`;

function answerLine(answer: Answer): ReactNode {
  return <><b>{count(answer.count, "sheet")}</b>, each {groundSize(answer.sheet_width_m, answer.sheet_height_m)} of ground. <b>{leftOut(answer)}</b></>;
}

function Kept({ answer }: { answer: Answer }) {
  return <>{answerLine(answer)} {answer.columns} columns by {answer.rows} rows, {answer.columns * answer.rows - answer.count} places of them empty.</>;
}

const around = (cells: Cell[], area: [number, number, number, number] | null): [number, number, number, number] | null => {
  const points = cells.flatMap((cell) => cell.corners);
  if (points.length === 0) return area;
  const xs = points.map((point) => point[0]), ys = points.map((point) => point[1]);
  return [Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)];
};

// Neighbouring scales and what they would take, so that none is found by trial and error.
function Scales({ onChoose }: { onChoose: (scale: number) => void }) {
  const book = useBook();
  const scales = useQuery({ queryKey: ["scales", book.id, book.revision], queryFn: ({ signal }) => post<ScaleCount[]>(`/api/books/${book.id}/scales`, {}, "POST", signal), staleTime: Infinity });
  if (!scales.data) return null;
  return (
    <Box component="section" aria-label="Neighbouring scales" sx={{ position: "absolute", left: 14, bottom: 14, bgcolor: "background.paper", border: 1, borderColor: "divider", py: 0.5 }}>
      {scales.data.map(({ scale, count: sheets }) => {
        const here = scale === book.document.index.scale;
        return (
          <Box component="button" key={scale} disabled={here || sheets === null} onClick={() => onChoose(scale)} aria-current={here ? "true" : undefined}
            sx={{ display: "grid", gridTemplateColumns: "70px 84px", textAlign: "left", border: 0, bgcolor: "transparent", font: "inherit", fontSize: 13, lineHeight: "24px", px: 1.5, py: 0, color: here ? "thread.main" : "text.primary", fontWeight: here ? 700 : 400, cursor: here ? "default" : "pointer", "&:hover:enabled": { bgcolor: "thread.soft" } }}>
            <span>{ratio(scale)}</span>{" "}<span>{sheets === null ? "too many" : count(sheets, "sheet")}</span>
          </Box>
        );
      })}
    </Box>
  );
}

function CellCard({ cell }: { cell: Cell }) {
  const book = useBook();
  const unit = book.reference.unit;
  const metre = book.reference.metres_per_unit;
  return (
    <Card title={cell.name} note={`sheet ${cell.number} of ${book.cells.length}`}>
      <Row name="Centre" unit="E">{coordinate(cell.centre[0])}</Row>
      <Row name="" unit="N">{coordinate(cell.centre[1])}</Row>
      <Row name="Shows" unit={unit === "m" ? undefined : "in metres"}>{groundSize(cell.width * metre, cell.height * metre)}</Row>
      <Row name="Frame">{`${mm(book.frame.width_mm)} × ${mm(book.frame.height_mm)}`}</Row>
      <Row name="Scale" unit="as the book">{ratio(cell.scale)}</Row>
      <TrueScale sheet={cell.number} />
      <Row name="Place">{`column ${cell.column + 1}, row ${cell.row + 1}`}</Row>
      <Button component={Link} to={`/books/${book.id}/proof?sheet=${cell.number}`} variant="outlined" fullWidth sx={{ mt: 2 }}>See the sheet as it will print</Button>
    </Card>
  );
}
