import { Box, Button, Typography } from "@mui/material";
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useBook } from "../api/book";
import { post, type Refusal } from "../api/client";
import { settled } from "../api/indexRun";
import type { IndexRun } from "../api/types";
import { listed } from "../api/words";

interface Made {
  path: string;
  told: string[];
}

// The book as a file: with everything in an archive, which a job writes, or as one JSON file, which cannot carry pixels.
export function BookFiles() {
  const book = useBook();
  const client = useQueryClient();
  const base = `/api/books/${book.id}/file`;
  const writing = useMutation<Made | null, Refusal>({
    mutationFn: async () => settled<Made>(client, book.id, await post<{ run: IndexRun }>(base, {})),
    onSuccess: (made) => {
      if (made) window.location.assign(made.path);
    },
  });
  const pixels = book.document.layers.filter((layer) => layer.raster && !layer.tiles).map((layer) => layer.title);
  return (
    <Box component="section" aria-labelledby="book-files" sx={{ mt: 2 }}>
      <Box component="h3" id="book-files" sx={{ m: 0, mb: 0.75, fontSize: 14, fontWeight: 600 }}>
        Export the book
      </Box>
      <Box sx={{ display: "grid", gap: 0.75 }}>
        <Button variant="outlined" fullWidth disabled={writing.isPending} onClick={() => writing.mutate()}>
          {writing.isPending ? "Writing…" : "With everything, as a .zip"}
        </Button>
        <Button variant="outlined" fullWidth href={base}>
          As one .json file
        </Button>
      </Box>
      {pixels.length > 0 && (
        <Box sx={{ fontSize: 12.5, color: "text.secondary", mt: 0.75 }}>
          One .json file carries no pixels: those of {listed(pixels, 4)} stay behind.
        </Box>
      )}
      {writing.error && (
        <Typography role="alert" sx={{ color: "error.main", fontSize: 13, mt: 0.75 }}>
          {writing.error.message}
        </Typography>
      )}
      {writing.data?.told.map((sentence) => (
        <Typography key={sentence} role="status" sx={{ fontSize: 13, mt: 0.75 }}>
          {sentence}
        </Typography>
      ))}
    </Box>
  );
}
