import CloseIcon from "@mui/icons-material/Close";
import { Box, Button, IconButton, Tooltip } from "@mui/material";
import { useState } from "react";
import { useBook } from "../api/book";
import { useHistory, useVersions, type HistoryStep, type Version } from "../api/history";
import type { Book } from "../api/types";
import { Choice } from "../fields/Choice";
import { Panel } from "../frame/Card";
import { useLookBack } from "../frame/useLookBack";
import { useSheet } from "../frame/useSheet";
import { StateDetails } from "./StateDetails";
import { StepRow } from "./StepRow";
import { t } from "../texts/t";

/**
 * What was changed, when and by whom; click a step for the book as it was behind it. then: the book that is looked back
 * at, once it is there.
 */
export function HistoryCard({ then }: { then: Book | undefined }) {
  const book = useBook();
  const { setOpen, at, setAt } = useLookBack();
  const { cell } = useSheet();
  const [touching, setTouching] = useState("");
  const history = useHistory(book.id, book.revision, touching || null);
  const { remove } = useVersions();
  const pages = history.data?.pages ?? [];
  const versions = pages[0]?.versions ?? [];
  const runs = pages[0]?.runs ?? [];
  const steps = pages.flatMap((page) => page.steps);
  const now = new Date();
  const marks = (position: number) => ({
    versions: versions.filter((version) => version.position === position),
    runs: runs.filter((run) => run.position === position),
  });
  const row = (step: HistoryStep) => (
    <StepRow
      key={step.position}
      step={step}
      now={now}
      selected={at === step.position}
      today={step.position === book.position}
      {...marks(step.position)}
      onSelect={() => setAt(at === step.position ? null : step.position)}
      onRemove={(version: Version) => void remove(version.id)}
    />
  );
  return (
    <Panel
      help="history"
      title={t("History")}
      note={
        <Tooltip title={t("Close the history")}>
          <IconButton size="small" aria-label={t("Close the history")} onClick={() => setOpen(false)}>
            <CloseIcon fontSize="small" />
          </IconButton>
        </Tooltip>
      }
    >
      {at !== null && (
        <StateDetails
          key={at}
          at={at}
          then={then}
          step={steps.find((step) => step.position === at)}
          versions={versions}
          runs={runs}
        />
      )}
      <Box sx={{ display: "grid" }}>
        <Choice<string>
          label={t("Steps that changed")}
          value={touching}
          choices={[
            ["", t("Anything")],
            ...(cell ? [[`cells/${cell.id}`, t("The cell of sheet %{name}", { name: cell.name })] as const] : []),
            ["cells", t("Cells of the index")],
            ["index", t("Settings of the index")],
            ["layout", t("Design of the sheets")],
            ["index_layout", t("Design of the index sheet")],
            ["pages", t("Pages beside the sheets")],
            ["labels_by_hand", t("Labels by hand")],
            ["notes", t("Notes")],
            ["crs", t("The CRS")],
            ["layers", t("Any layer")],
            ...book.document.layers.map(
              (layer) => [`layers/${layer.id}`, t("Layer %{title}", { title: layer.title })] as const,
            ),
          ]}
          onChoose={async (chosen) => setTouching(chosen)}
        />
      </Box>
      {history.isError && (
        <Box role="alert" sx={{ mt: 1, fontSize: 13 }}>
          {history.error.message}
        </Box>
      )}
      {history.isSuccess && steps.length === 0 && (
        <Box sx={{ mt: 1.5, fontSize: 13, color: "text.secondary" }}>
          {touching
            ? t("Nothing has changed this yet.")
            : t("Nothing has been changed yet. Every change will be listed here.")}
        </Box>
      )}
      <Box component="ol" aria-label={t("Steps, the latest first")} sx={{ listStyle: "none", m: 0, mt: 1, p: 0 }}>
        {steps.map(row)}
        {!touching && history.isSuccess && !history.hasNextPage && (
          <StepRow
            now={now}
            selected={at === 0}
            today={book.position === 0}
            {...marks(0)}
            onSelect={() => setAt(at === 0 ? null : 0)}
            onRemove={(version) => void remove(version.id)}
          />
        )}
      </Box>
      {history.hasNextPage && (
        <Button onClick={() => void history.fetchNextPage()} disabled={history.isFetching}>
          {t("Earlier steps")}
        </Button>
      )}
    </Panel>
  );
}
