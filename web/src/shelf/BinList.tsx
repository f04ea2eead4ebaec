import { Box, Button, Typography } from "@mui/material";
import { useState } from "react";
import type { BookBinned } from "../generated/answers";
import { day } from "../numbers/day";
import { t } from "../texts/t";
import { rich } from "../texts/rich";
import { summary } from "./summary";

/** The books in the bin: each can be put back whole, or deleted for good before its days are over. */
export function BinList({
  books,
  onRestore,
  onDestroy,
}: {
  books: BookBinned[];
  onRestore: (book: BookBinned) => void;
  onDestroy: (book: BookBinned) => void;
}) {
  // Asked for once more, as it cannot be undone.
  const [sure, setSure] = useState<number | null>(null);
  return (
    <Box component="section" aria-labelledby="bin-title" sx={{ mt: 4 }}>
      <Typography component="h2" variant="h2" id="bin-title" sx={{ mb: 1 }}>
        {t("Bin")}
      </Typography>
      <Box component="ul" sx={{ m: 0, p: 0, listStyle: "none" }}>
        {books.map((book) => (
          <Box
            component="li"
            key={book.id}
            sx={{ display: "flex", gap: 1, alignItems: "center", py: 0.75, borderTop: 1, borderColor: "divider" }}
          >
            <Box sx={{ flex: 1, minWidth: 0 }}>
              <b>{book.title}</b>{" "}
              <Box component="span" sx={{ fontSize: 13, color: "text.secondary" }}>
                {rich(t("<1/> · deleted for good on <2/>"), {
                  1: summary(book),
                  2: day(book.ends_at),
                })}
              </Box>
            </Box>
            {sure === book.id ? (
              <>
                <span>{t("This cannot be undone.")}</span>
                <Button
                  color="error"
                  aria-label={t("Delete for good: %{title}, which cannot be undone", { title: book.title })}
                  onClick={() => onDestroy(book)}
                >
                  {t("Delete for good")}
                </Button>
                <Button color="inherit" onClick={() => setSure(null)}>
                  {t("Cancel")}
                </Button>
              </>
            ) : (
              <>
                <Button aria-label={t("Restore %{title}", { title: book.title })} onClick={() => onRestore(book)}>
                  {t("Restore")}
                </Button>
                <Button
                  color="error"
                  aria-label={t("Delete for good: %{title}", { title: book.title })}
                  onClick={() => setSure(book.id)}
                >
                  {t("Delete for good")}
                </Button>
              </>
            )}
          </Box>
        ))}
      </Box>
    </Box>
  );
}
