import FirstIcon from "@mui/icons-material/FirstPage";
import LastIcon from "@mui/icons-material/LastPage";
import NextIcon from "@mui/icons-material/NavigateNext";
import BeforeIcon from "@mui/icons-material/NavigateBefore";
import { Autocomplete, Box, createFilterOptions, IconButton, TextField } from "@mui/material";
import { useMemo, useRef, type ReactNode } from "react";
import { useBook } from "../api/book";
import type { BookPage, Cell } from "../api/types";
import { coordinate, count, ratio, paperSize } from "../api/words";
import { Card, Row } from "../frame/Card";
import { pageAt, pageCount } from "../frame/bookPages";
import { useSheet } from "../frame/useSheet";
import { MapLabelMarks, MapLabelsPanel } from "../labels/hand/MapLabels";
import { MarkedLabels } from "../labels/hand/MarkedLabels";
import { NotesOnPage } from "../notes/NotesOnPage";
import { NotesPanel } from "../notes/NotesPanel";
import { NotesScope } from "../notes/NotesScope";
import { FeatureShown, LabelCount, LeftOutOfSheet, Shown, TrueScale } from "../page/TrueScale";
import { useShortcuts } from "../frame/useShortcuts";
import { PageView } from "../page/PageView";
import { Statement } from "../statement/Statement";
import { t } from "../texts/t";
import { rich } from "../texts/rich";

// Of thousands of names no more are listed than can be read.
const named = createFilterOptions<Cell>({ limit: 60 });

/** Leafing through the sheets as they will print. */
export function ProofStep() {
  const book = useBook();
  const { cell, page, number, place, go, step } = useSheet();
  const jump = useRef<HTMLInputElement>(null);
  const keys = useMemo(() => ({ "/": () => jump.current?.focus() }), []);
  useShortcuts(keys);
  if (number === null)
    return (
      <Statement answer={t("In Weave, choose the study area and the scale.")}>
        {t("There are no sheets to look through yet.")}
      </Statement>
    );
  const last = book.cells.length;
  // What is marked and told of a sheet is of today's.
  const today = book.at === undefined;
  const end = pageCount(book) - 1;
  const goTo = (wanted: number) => {
    const page = pageAt(book, wanted);
    if (page) go(page.number);
  };
  return (
    <MarkedLabels>
      <NotesScope>
        <Statement
          answer={
            <>
              {rich(
                t("Each sheet is shown exactly as it will print. <1/>; Page Down and Page Up leaf through them.<2/>"),
                { 1: <b>{count(last, "sheet")}</b>, 2: today && <LabelCount sheet={number} /> },
              )}
            </>
          }
        >
          <Box component="span" sx={{ display: "inline-flex", alignItems: "center", gap: 0.5, flexWrap: "wrap" }}>
            <IconButton size="small" aria-label={t("First sheet")} disabled={place <= 0} onClick={() => goTo(0)}>
              <FirstIcon />
            </IconButton>
            <IconButton size="small" aria-label={t("Sheet before")} disabled={place <= 0} onClick={() => step(-1)}>
              <BeforeIcon />
            </IconButton>
            {cell ? (
              <span>
                {rich(t("Sheet <1/>, <2/> of <3/>, at <4/>"), {
                  1: <b>{cell.name}</b>,
                  2: cell.number,
                  3: last,
                  4: <b>{ratio(cell.scale)}</b>,
                })}
              </span>
            ) : page?.kind === "index" && page.after === 0 && book.document.pages === undefined ? (
              <span>{rich(t("The <1/>, before <2/>"), { 1: <b>{t("index sheet")}</b>, 2: count(last, "sheet") })}</span>
            ) : (
              <span>
                {rich(t("<1/> <2/>, page <3/> of <4/>"), {
                  1: page?.kind === "index" ? t("Index sheet") : page?.kind === "blank" ? t("An") : t("Page"),
                  2: <b>{page?.name}</b>,
                  3: place + 1,
                  4: end + 1,
                })}
              </span>
            )}
            <IconButton size="small" aria-label={t("Next sheet")} disabled={place >= end} onClick={() => step(1)}>
              <NextIcon />
            </IconButton>
            <IconButton size="small" aria-label={t("Last sheet")} disabled={place >= end} onClick={() => goTo(end)}>
              <LastIcon />
            </IconButton>
            <Autocomplete<Cell>
              size="small"
              filterOptions={named}
              options={book.cells}
              value={null}
              blurOnSelect
              clearOnBlur
              autoHighlight
              getOptionLabel={(known) => known.name}
              getOptionKey={(known) => known.number}
              onChange={(_, chosen) => chosen && go(chosen.number)}
              sx={{ width: 190, ml: 1.5 }}
              renderInput={(params) => (
                <TextField
                  {...params}
                  inputRef={jump}
                  placeholder={t("Go to a sheet (/)")}
                  slotProps={{
                    ...params.slotProps,
                    htmlInput: { ...params.slotProps?.htmlInput, "aria-label": t("Go to a sheet by name") },
                  }}
                />
              )}
            />
          </Box>
        </Statement>
        <Box sx={{ flex: 1, minHeight: 0, display: "flex" }}>
          <PageView
            sheet={number}
            overlay={
              today
                ? (perMm, _, size) => (
                    <>
                      <MapLabelMarks perMm={perMm} size={size} />
                      <NotesOnPage perMm={perMm} size={size} />
                    </>
                  )
                : undefined
            }
          />
          {page ? (
            <BesideCard page={page}>
              <>
                <MapLabelsPanel />
                <NotesPanel />
              </>
            </BesideCard>
          ) : !cell ? null : (
            <Card help="proof" title={cell.name} note={t("sheet %{number} of %{last}", { number: cell.number, last })}>
              <>
                <MapLabelsPanel />
                <NotesPanel />
              </>
              <Shown sheet={cell.number} />
              <FeatureShown sheet={cell.number} />
              <Row
                name={t("Scale")}
                unit={book.document.index.held === "ellipsoid" ? t("on the ellipsoid") : t("on the projection")}
              >
                {ratio(cell.scale)}
              </Row>
              <TrueScale sheet={cell.number} />
              <Row name={t("Centre")} unit="E">
                {coordinate(cell.centre[0])}
              </Row>
              <Row name="" unit="N">
                {coordinate(cell.centre[1])}
              </Row>
              <Row name={t("Page")}>{paperSize(book.frame.page_width_mm, book.frame.page_height_mm)}</Row>
              <Row name={t("Frame")}>{paperSize(book.frame.width_mm, book.frame.height_mm)}</Row>
              {cell.kept && <Row name={t("Status")}>{t("not rebuilt since the frame or the data changed")}</Row>}
              <LeftOutOfSheet sheet={cell.number} />
            </Card>
          )}
        </Box>
      </NotesScope>
    </MarkedLabels>
  );
}

// What a page that is no sheet shows.
function BesideCard({ page, children }: { page: BookPage; children: ReactNode }) {
  const book = useBook();
  const index = page.kind === "index";
  const frame = index ? book.index_frame : page.page !== null ? book.page_frames[page.page] : undefined;
  return (
    <Card
      help="proof"
      title={index ? (page.name === "Index" ? t("Index sheet") : page.name) : page.name}
      note={t("page %{position} of %{book}", { position: page.position, book: pageCount(book) })}
    >
      {children}
      {index && <Row name={t("Shows")}>{rich(t("<1/> by name"), { 1: count(page.sheets, "sheet") })}</Row>}
      {index && <TrueScale sheet={page.number} />}
      <Row name={t("Prints")}>{page.folio === null ? t("no number") : t("number %{folio}", { folio: page.folio })}</Row>
      {frame && <Row name={t("Page")}>{paperSize(frame.page_width_mm, frame.page_height_mm)}</Row>}
      <LeftOutOfSheet sheet={page.number} />
    </Card>
  );
}
