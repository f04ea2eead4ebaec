import { Box, Button, Typography } from "@mui/material";
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useBook } from "../api/book";
import { post, type Refusal } from "../api/client";
import { settled } from "../api/indexRun";
import type { IndexRun } from "../api/types";
import { layerFormats } from "../generated/kinds";

interface File {
  path: string;
}

// A layer as a file: a large one is written by a job first, which shows its progress.
export function LayerFiles({ layer }: { layer: string }) {
  const book = useBook();
  const client = useQueryClient();
  const writing = useMutation<File | null, Refusal, string>({
    mutationFn: async (format) =>
      settled<File>(
        client,
        book.id,
        await post<File | { run: IndexRun }>(`/api/books/${book.id}/layers/${layer}/file`, { format }),
      ),
    onSuccess: (file) => {
      if (file) window.location.assign(file.path);
    },
  });
  return (
    <>
      <Box sx={{ fontSize: 13, color: "text.secondary", mt: 1 }}>Export the layer as</Box>
      <Box sx={{ display: "flex", gap: 0.5 }}>
        {layerFormats.map(([format, title]) => (
          <Button key={format} variant="outlined" disabled={writing.isPending} onClick={() => writing.mutate(format)}>
            {title}
          </Button>
        ))}
      </Box>
      {writing.error && (
        <Typography role="alert" sx={{ color: "error.main", fontSize: 13 }}>
          {writing.error.message}
        </Typography>
      )}
    </>
  );
}
