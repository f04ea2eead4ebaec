import { Box, Typography } from "@mui/material";
import { useBook } from "../api/book";
import type { Order, Run } from "../api/types";
import { RunRow } from "./RunRow";
import type { Runs } from "./useRuns";
import { t } from "../texts/t";

interface RunListProps {
  runs: Runs;
  onMissing: (run: Run) => void;
  onUse: (order: Order) => void;
  onRepeat: (run: Run) => void;
}

/** The runs so far, the newest first. */
export function RunList({ runs: { runs, base, act }, onMissing, onUse, onRepeat }: RunListProps) {
  const book = useBook();
  return (
    <Box
      component="section"
      aria-labelledby="runs-title"
      sx={{ bgcolor: "background.paper", border: 1, borderColor: "divider" }}
    >
      <Typography component="h2" variant="h2" id="runs-title" sx={{ px: 2, py: 1.5 }}>
        {t("Runs")}
      </Typography>
      {runs.error && (
        <Typography role="alert" sx={{ px: 2, pb: 2 }}>
          {runs.error.message}
        </Typography>
      )}
      {runs.data?.length === 0 && (
        <Typography sx={{ px: 2, pb: 2, color: "text.secondary" }}>
          {t("Nothing has been exported yet. Exports are listed here until you delete them.")}
        </Typography>
      )}
      {runs.data?.map((run) => (
        <RunRow
          key={run.id}
          run={run}
          base={base}
          revision={book.revision}
          act={(path, method, body) => act.mutate({ path: `/${run.id}${path}`, method, body })}
          onMissing={() => onMissing(run)}
          onUse={() => onUse(run.order)}
          onRepeat={() => onRepeat(run)}
        />
      ))}
    </Box>
  );
}
