import { Box, Button, LinearProgress } from "@mui/material";
import { useQuery } from "@tanstack/react-query";
import { useBook } from "../api/book";
import { post } from "../api/client";
import type { IndexRun as Work } from "../api/types";

const DOING: Record<string, string> = {
  cover: "Working out the coverage",
  features: "Working out the coverage",
  layer_file: "Writing the file",
};

// Long work on the index: how far it is, and a way to stop it. narrow: in a dialog, which is over the rest of the page.
export function IndexRun({ narrow = false }: { narrow?: boolean }) {
  const book = useBook();
  const { data } = useQuery<Work | null>({
    queryKey: ["index run", book.id],
    queryFn: () => null,
    enabled: false,
    initialData: null,
  });
  if (!data) return null;
  const doing = DOING[data.purpose] ?? "Working out the index";
  const share = data.total > 0 ? Math.min(100, (100 * data.done) / data.total) : null;
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
        {data.total > 0
          ? `: ${data.done.toLocaleString("en-GB")} of about ${data.total.toLocaleString("en-GB")} steps`
          : " …"}
      </span>
      <LinearProgress
        aria-label={doing}
        sx={{ flex: 1, height: 6 }}
        variant={share === null ? "indeterminate" : "determinate"}
        value={share ?? 0}
      />
      <Button
        onClick={() => void post(`/api/books/${book.id}/index/runs/${data.id}/cancel`, {}).catch(() => undefined)}
      >
        Stop
      </Button>
    </Box>
  );
}
