import { Box, Button, LinearProgress } from "@mui/material";
import { useQuery } from "@tanstack/react-query";
import { useBook } from "../api/book";
import { post } from "../api/client";
import { runsUnderWay } from "../api/indexRun";
import type { IndexRun as Work } from "../api/types";
import { endedAlready } from "../api/toldElsewhere";

// Work beside the index itself, for which the dialog of a value does not wait.
const BESIDE: Record<string, string> = {
  cover: "Working out the coverage",
  features: "Working out the coverage",
  layer_file: "Writing the file",
  book_file: "Writing the book’s file",
};

/**
 * Long work on the index: how far each is, and a way to stop it. narrow: in the dialog of a value, which is over the
 * rest of the page: only what it waits for.
 */
export function IndexRuns({ narrow = false }: { narrow?: boolean }) {
  const book = useBook();
  const { data } = useQuery<Work[]>({
    queryKey: runsUnderWay(book.id),
    queryFn: () => [],
    enabled: false,
    initialData: [],
  });
  return data
    .filter((run) => !narrow || !(run.purpose in BESIDE))
    .map((run) => <IndexRun key={run.id} run={run} narrow={narrow} />);
}

function IndexRun({ run, narrow }: { run: Work; narrow: boolean }) {
  const book = useBook();
  const doing = BESIDE[run.purpose] ?? "Working out the index";
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
          ? `: ${run.done.toLocaleString("en-GB")} of about ${run.total.toLocaleString("en-GB")} steps`
          : " …"}
      </span>
      <LinearProgress
        aria-label={doing}
        sx={{ flex: 1, height: 6 }}
        variant={share === null ? "indeterminate" : "determinate"}
        value={share ?? 0}
      />
      <Button onClick={() => void post(`/api/books/${book.id}/index/runs/${run.id}/cancel`, {}).catch(endedAlready)}>
        Stop
      </Button>
    </Box>
  );
}
