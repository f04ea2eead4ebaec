import BackIcon from "@mui/icons-material/ArrowBack";
import { Box, Button, Checkbox, FormControlLabel } from "@mui/material";
import { useEffect, useRef, useState } from "react";
import { useBook, useChange } from "../api/book";
import { post } from "../api/client";
import type { Grid, GridLabels, GridWords, GriddedElement } from "../api/types";
import { toldElsewhere } from "../api/toldElsewhere";
import { Choice } from "../fields/Choice";
import { Field } from "../fields/Field";
import { filled } from "../fields/filled";
import { Card, Heading } from "../frame/Card";
import { defaults } from "../generated/defaults";
import { GridLabelFields } from "./GridLabelFields";
import { GridSummary } from "./GridList";
import { GridLookFields } from "./GridLookFields";
import { GridReference } from "./GridReference";
import { IntervalFields } from "./IntervalFields";
import { Question } from "./Question";
import { useGridTrial } from "./useGrids";
import { choices } from "../generated/choices";
import { t } from "../texts/t";
import { rich } from "../texts/rich";

interface GridCardProps {
  frame: GriddedElement;
  grid: Grid;
  words: GridWords | undefined;
  sheet: number;
  onSave: (label: string, grids: Grid[]) => Promise<unknown>;
  // Lines that are being tried, over the page.
  onGhost: (svg: string | null) => void;
  onBack: () => void;
}

const REST_MS = 450;

/** One coordinate grid: it is set with the map in view, and what is being tried shows as ghost lines. */
export function GridCard({ frame, grid, words, sheet, onSave, onGhost, onBack }: GridCardProps) {
  const shown = filled(grid, defaults.grid);
  const book = useBook();
  const { ask } = useChange();
  const [draft, setDraft] = useState<Grid | null>(null);
  const [question, setQuestion] = useState<Grid | null>(null);
  const trial = useGridTrial(sheet, frame.id, draft);
  const svg = trial?.data?.svg ?? null;
  useEffect(() => {
    onGhost(draft ? svg : null);
  }, [draft, svg, onGhost]);
  useEffect(() => () => onGhost(null), [onGhost]);
  const grids = frame.grids ?? [];
  const name = grid.title ?? grid.id;
  const put = (fresh: Grid) => {
    setDraft(null);
    return onSave(
      name,
      grids.map((known) => (known.id === grid.id ? fresh : known)),
    );
  };
  const keep = (patch: Partial<Grid>) => put({ ...grid, ...patch });
  // Keys move it by many small steps: it is kept when it rests.
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const settle = (target_mm: number) => {
    clearTimeout(timer.current);
    timer.current = setTimeout(() => void latest.current({ target_mm }).catch(toldElsewhere), REST_MS);
  };
  const latest = useRef(keep);
  useEffect(() => {
    latest.current = keep;
  });
  useEffect(() => () => clearTimeout(timer.current), []);
  const summary = draft && trial?.data ? trial.data : words;
  const angles = words?.angles ?? grid.crs === "geographic";
  const fixed = !!grid.interval;
  const key = book.document.index_layout;
  const other =
    frame.kind === "index_frame" ? t("the sheets") : frame.kind === "map_frame" && key ? t("the index sheet") : null;
  return (
    <Card help="grid" title={name} note={t("coordinate grid")}>
      <Button startIcon={<BackIcon />} onClick={onBack} sx={{ mb: 0.5 }}>
        {t("The frame")}
      </Button>
      <Box aria-live="polite" role="status" sx={{ mb: 1 }}>
        {trial?.isError ? (
          <Box role="alert" sx={{ fontSize: 13, color: "error.main" }}>
            {trial.error.message}
          </Box>
        ) : (
          summary && <GridSummary sentence={summary.sentence} warnings={summary.warnings} />
        )}
      </Box>
      <Field label={t("Name")} value={name} onSave={(title) => keep({ title: title.trim() || undefined })} />
      <GridReference
        grid={grid}
        onChoose={async (reference) => {
          if (reference === grid.crs) return;
          const fresh = { ...grid, crs: reference };
          if (!fixed) return keep({ crs: reference });
          // Intervals keep their unit: where the reference counts otherwise, that is asked and not guessed.
          try {
            await post(`/api/books/${book.id}/sheets/${sheet}/grids/try`, { grid: fresh, frame: frame.id });
          } catch {
            return setQuestion(fresh);
          }
          return keep({ crs: reference });
        }}
      />
      {question && (
        <Question
          frame={frame.id}
          grid={question}
          sheet={sheet}
          was={grid}
          pitch={words?.pitch_mm?.[0]}
          onSave={(fresh) => {
            setQuestion(null);
            void put(fresh).catch(toldElsewhere);
          }}
          onDrop={() => setQuestion(null)}
        />
      )}

      <Heading text={t("Interval")} />
      <IntervalFields
        grid={grid}
        draft={draft}
        words={words}
        angles={angles}
        onDraft={setDraft}
        onSave={keep}
        onSettle={settle}
      />

      <Heading text={t("Appearance")} />
      <GridLookFields grid={grid} keep={keep} />

      <Heading text={t("Labels")} />
      <GridLabelFields
        labels={grid.labels}
        angles={angles}
        onSave={(labels: GridLabels | undefined) => keep({ labels })}
      />
      {words?.lettered && (
        <FormControlLabel
          control={
            <Checkbox
              size="small"
              checked={!!grid.squares}
              onChange={(event) =>
                void keep({ squares: event.target.checked ? { size_pt: 12 } : undefined }).catch(toldElsewhere)
              }
            />
          }
          label={t("Letters of the 100 km squares")}
        />
      )}

      <Heading text={t("Grid")} />
      <Choice
        label={t("Drawn on")}
        value={shown.drawn_on}
        choices={choices.grid.drawn_on}
        onChoose={(drawn_on) => keep({ drawn_on: drawn_on === "all" ? undefined : drawn_on })}
      />
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 0.5, mt: 1 }}>
        <Button onClick={() => void keep({ hidden: grid.hidden ? undefined : true }).catch(toldElsewhere)}>
          {grid.hidden ? t("Show") : t("Hide")}
        </Button>
        {other && (
          <Button
            onClick={() =>
              void ask(`sheets/${sheet}/grids/copy`, { id: grid.id, frame: frame.id }).catch(toldElsewhere)
            }
          >
            {rich(t("Copy to <1/>"), { 1: other })}
          </Button>
        )}
        <Button
          color="error"
          onClick={() => {
            onBack();
            void onSave(
              `Remove ${name}`,
              grids.filter((known) => known.id !== grid.id),
            ).catch(toldElsewhere);
          }}
        >
          {t("Remove")}
        </Button>
      </Box>
    </Card>
  );
}
