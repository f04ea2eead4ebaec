import { Box, Button, Typography } from "@mui/material";
import { useBook } from "../api/book";
import { listed } from "../api/words";
import { useWrittenFile } from "./useWrittenFile";
import { t } from "../texts/t";
import { rich } from "../texts/rich";

/**
 * The book as a file: with everything in an archive, which a job writes, or as one JSON file, which cannot carry
 * pixels.
 */
export function BookFiles() {
  const book = useBook();
  const writing = useWrittenFile<object>("file");
  const pixels = book.document.layers.filter((layer) => layer.raster && !layer.tiles).map((layer) => layer.title);
  return (
    <Box component="section" aria-labelledby="book-files" sx={{ mt: 2 }}>
      <Box component="h3" id="book-files" sx={{ m: 0, mb: 0.75, fontSize: 14, fontWeight: 600 }}>
        {t("Export the book")}
      </Box>
      <Box sx={{ display: "grid", gap: 0.75 }}>
        <Button variant="outlined" fullWidth disabled={writing.isPending} onClick={() => writing.mutate({})}>
          {writing.isPending ? t("Writing…") : t("With everything, as a .zip")}
        </Button>
        <Button variant="outlined" fullWidth href={`/api/books/${book.id}/file`}>
          {t("As one .json file")}
        </Button>
      </Box>
      {pixels.length > 0 && (
        <Box sx={{ fontSize: 12.5, color: "text.secondary", mt: 0.75 }}>
          {rich(t("One .json file does not include rasters: <1/> would be missing."), { 1: listed(pixels, 4) })}
        </Box>
      )}
      {writing.error && (
        <Typography role="alert" sx={{ color: "error.main", fontSize: 13, mt: 0.75 }}>
          {writing.error.message}
        </Typography>
      )}
      {writing.data?.notices?.map((sentence) => (
        <Typography key={sentence} role="status" sx={{ fontSize: 13, mt: 0.75 }}>
          {sentence}
        </Typography>
      ))}
    </Box>
  );
}
