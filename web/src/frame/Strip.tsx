import { Box, Typography } from "@mui/material";
import { useEffect, useRef } from "react";
import { useBook } from "../api/book";
import { count } from "../api/words";
import { useSheet } from "./useSheet";

// The book's sheets in order, as small pictures.
export function Strip() {
  const book = useBook();
  const { cell, go } = useSheet();
  const current = useRef<HTMLButtonElement>(null);
  useEffect(() => {
    current.current?.scrollIntoView({ inline: "nearest", block: "nearest" });
  }, [cell?.number]);
  return (
    <Box component="footer" sx={{ flexShrink: 0, height: 104, bgcolor: "table.strip", borderTop: 1, borderColor: "table.edge", overflowX: "auto", overflowY: "hidden" }}>
      {book.cells.length === 0
        ? <Typography sx={{ p: 2, color: "text.secondary" }}>No sheets yet. On Weave, say which area to cover.</Typography>
        : (
          <Box component="ol" aria-label={count(book.cells.length, "sheet")} sx={{ display: "flex", gap: 1, m: 0, px: 1.75, py: 1, listStyle: "none", height: "100%" }}>
            {book.cells.map((known) => {
              const here = known.number === cell?.number;
              return (
                <li key={known.number}>
                  <Box component="button" ref={here ? current : undefined} onClick={() => go(known.number)} aria-current={here ? "true" : undefined}
                    sx={{ p: 0, border: 0, bgcolor: "transparent", cursor: "pointer", font: "inherit", color: "text.primary", display: "block", "&:focus-visible": { outline: "2px solid", outlineColor: "primary.main" } }}>
                    <Box component="img" loading="lazy" alt="" src={`/api/books/${book.id}/sheets/${known.number}.svg?thumb=1&r=${book.revision}`}
                      sx={{ display: "block", width: 86, height: 62, objectFit: "contain", bgcolor: "#fff", outline: here ? "3px solid" : "1px solid", outlineColor: here ? "primary.main" : "table.edge" }} />
                    <Box component="span" sx={{ display: "flex", justifyContent: "space-between", fontSize: 12, mt: 0.5, fontWeight: here ? 700 : 400 }}>
                      <span>{known.name}</span>{" "}<Box component="span" sx={{ color: "text.secondary" }}>{known.number}</Box>
                    </Box>
                  </Box>
                </li>
              );
            })}
          </Box>
        )}
    </Box>
  );
}
