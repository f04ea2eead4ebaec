import { Box, Button, LinearProgress } from "@mui/material";
import { useQueryClient } from "@tanstack/react-query";
import { useBook } from "../api/book";
import { post } from "../api/client";
import type { Book } from "../api/types";
import { count } from "../api/words";
import { written } from "../numbers/written";
import { t } from "../texts/t";

/** The book is being drawn in another reference: how far that is; it can be stopped. */
export function Reprojecting() {
  const book = useBook();
  const client = useQueryClient();
  const change = book.reprojection!;
  const stop = () =>
    void post<Book>(`/api/books/${book.id}/reference/stop`, {}).then((fresh) =>
      client.setQueryData(["book", book.id], fresh),
    );
  return (
    <Box
      sx={{
        display: "flex",
        alignItems: "center",
        gap: 2,
        px: 2.5,
        py: 0.5,
        bgcolor: "background.paper",
        borderBottom: 2,
        borderColor: "primary.main",
      }}
    >
      <Box role="status" sx={{ whiteSpace: "nowrap" }}>
        {t("Drawing the book in %{name}: %{done} of %{value}", {
          name: change.name,
          done: written(change.done),
          value: count(change.total, "feature"),
        })}
      </Box>
      <LinearProgress
        variant="determinate"
        value={Math.min((100 * change.done) / Math.max(change.total, 1), 100)}
        aria-label={t("Changing the CRS")}
        sx={{ flex: 1, height: 6 }}
      />
      <Button onClick={stop}>{t("Stop")}</Button>
    </Box>
  );
}
