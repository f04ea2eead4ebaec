import { Box, Button, LinearProgress } from "@mui/material";
import { useBook } from "../api/book";
import { post } from "../api/client";
import { endedAlready } from "../api/toldElsewhere";
import type { IndexRun as Work } from "../api/types";
import { written } from "../numbers/written";
import { t } from "../texts/t";

const DOING: Record<string, string> = {
  cover: t("Working out the coverage"),
  features: t("Working out the coverage"),
  layer_file: t("Writing the file"),
  book_file: t("Writing the book’s file"),
};

/** One long piece of work on the index: how far it is, and a way to stop it. */
export default function IndexRun({ run, narrow }: { run: Work; narrow: boolean }) {
  const book = useBook();
  const doing = DOING[run.purpose] ?? t("Working out the index");
  const share = run.total > 0 ? Math.min(100, (100 * run.done) / run.total) : null;
  return (
    <Box
      role="status"
      sx={{
        display: "flex",
        flexWrap: narrow ? "wrap" : undefined,
        alignItems: "center",
        gap: narrow ? 1 : 2,
        px: narrow ? 2 : 2.5,
        py: 0.75,
        width: narrow ? 320 : undefined,
        bgcolor: "background.paper",
        borderTop: narrow ? 1 : 0,
        borderBottom: narrow ? 0 : 1,
        borderColor: "divider",
        fontSize: narrow ? 13 : 14,
      }}
    >
      <span>
        {doing}
        {run.total > 0
          ? t(": %{value} of about %{value2} steps", {
              value: written(run.done),
              value2: written(run.total),
            })
          : " …"}
      </span>
      <LinearProgress
        aria-label={doing}
        sx={{ flex: 1, height: 6 }}
        variant={share === null ? "indeterminate" : "determinate"}
        value={share ?? 0}
      />
      <Button onClick={() => void post(`/api/books/${book.id}/index/runs/${run.id}/cancel`, {}).catch(endedAlready)}>
        {t("Stop")}
      </Button>
    </Box>
  );
}
