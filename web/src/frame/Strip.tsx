import { Box, Typography } from "@mui/material";
import { useEffect, useRef, type Ref } from "react";
import { Link, useLocation } from "react-router";
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
            <li>
              <Picture to={`/books/${book.id}/weave`} image={`/api/books/${book.id}/key.svg?r=${book.revision}`} name="Key" note="" />
            </li>
            {book.cells.map((known) => {
              const here = known.number === cell?.number;
              return (
                <li key={known.number}>
                  <Picture current={here} buttonRef={here ? current : undefined} onPick={() => go(known.number)} image={`/api/books/${book.id}/sheets/${known.number}.svg?thumb=1&r=${book.revision}`} name={known.name} note={String(known.number)} />
                </li>
              );
            })}
          </Box>
        )}
    </Box>
  );
}

interface PictureProps { image: string; name: string; note: string; current?: boolean; to?: string; onPick?: () => void; buttonRef?: Ref<HTMLButtonElement> }

// A small picture with its name: a sheet to go to, or the key that leads to the cells.
function Picture({ image, name, note, current = false, to, onPick, buttonRef }: PictureProps) {
  const { search } = useLocation();
  const target = to ? { component: Link, to: `${to}${search}` } : { component: "button" as const, ref: buttonRef, onClick: onPick };
  return (
    <Box {...target} aria-current={current ? "true" : undefined}
      sx={{ p: 0, border: 0, bgcolor: "transparent", cursor: "pointer", font: "inherit", color: "text.primary", display: "block", textDecoration: "none", "&:focus-visible": { outline: "2px solid", outlineColor: "primary.main" } }}>
      <Box component="img" loading="lazy" alt="" src={image} sx={{ display: "block", width: 86, height: 62, objectFit: "contain", bgcolor: "#fff", outline: current ? "3px solid" : "1px solid", outlineColor: current ? "primary.main" : "table.edge" }} />
      <Box component="span" sx={{ display: "flex", justifyContent: "space-between", fontSize: 12, mt: 0.5, fontWeight: current ? 700 : 400 }}>
        <span>{name}</span>{" "}<Box component="span" sx={{ color: "text.secondary" }}>{note}</Box>
      </Box>
    </Box>
  );
}
