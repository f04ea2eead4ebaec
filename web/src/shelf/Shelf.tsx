import { Box, Typography } from "@mui/material";
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { get } from "../api/client";
import { count } from "../api/words";
import { Notice } from "../frame/Notice";
import { OpenGuide } from "../guide/OpenGuide";
import { OpenServer } from "../frame/OpenServer";
import { DrawnPicture, PictureProblem, useServerPicture } from "../frame/ServerPicture";
import { Open } from "./Open";
import { Start } from "./Start";
import type { BookListed as Listed } from "../generated/answers";
import { t } from "../texts/t";

/** All books; a new one from data, or one that comes as a file. */
export function Shelf() {
  const books = useQuery({ queryKey: ["books"], queryFn: ({ signal }) => get<Listed[]>("/api/books", signal) });
  const [problem, setProblem] = useState<string | null>(null);
  return (
    <Box sx={{ height: "100%", display: "flex", flexDirection: "column" }}>
      <OpenServer />
      <Box
        component="header"
        sx={{
          display: "flex",
          alignItems: "center",
          gap: 1.75,
          height: 46,
          bgcolor: "ink.bar",
          color: "ink.onBar",
          flexShrink: 0,
        }}
      >
        <Box component="img" src="/mark.svg" alt="" sx={{ width: 46, height: 46 }} />
        <Typography component="h1" sx={{ fontSize: 16, fontWeight: 700 }}>
          {t("Tile Loom")}
        </Typography>
        <Box sx={{ flex: 1 }} />
        <OpenGuide />
      </Box>
      {problem && <Notice text={problem} onClose={() => setProblem(null)} />}
      <Box
        component="main"
        sx={{
          flex: 1,
          minHeight: 0,
          overflow: "auto",
          p: 4,
          display: "grid",
          gridTemplateColumns: "minmax(0, 1fr) 380px",
          gap: 4,
          alignItems: "start",
          maxWidth: 1240,
          width: "100%",
          mx: "auto",
        }}
      >
        <Box component="section" aria-labelledby="books-title">
          <Typography component="h2" variant="h2" id="books-title" sx={{ mb: 2 }}>
            {t("Books")}
          </Typography>
          {books.error && <Typography role="alert">{books.error.message}</Typography>}
          {books.data?.length === 0 && (
            <Typography color="text.secondary">{t("No book yet. Start one from data on the right.")}</Typography>
          )}
          <Box
            component="ul"
            sx={{
              m: 0,
              p: 0,
              listStyle: "none",
              display: "grid",
              gridTemplateColumns: "repeat(auto-fill, minmax(230px, 1fr))",
              gap: 2,
            }}
          >
            {books.data?.map((book) => (
              <BookOnShelf key={book.id} book={book} />
            ))}
          </Box>
        </Box>
        <Box sx={{ display: "grid", gap: 3 }}>
          <Start onProblem={setProblem} />
          <Open onProblem={setProblem} />
        </Box>
      </Box>
    </Box>
  );
}

// A book: its index as a small picture, its name.
function BookOnShelf({ book }: { book: Listed }) {
  const picture = useServerPicture(`/api/books/${book.id}/index.svg?r=${book.revision}`);
  return (
    <li>
      <Box
        component={Link}
        to={`/books/${book.id}/weave`}
        sx={{
          display: "block",
          bgcolor: "background.paper",
          border: 1,
          borderColor: "divider",
          p: 1.5,
          color: "text.primary",
          textDecoration: "none",
          "&:hover": { borderColor: "thread.main" },
          "&:focus-visible": { outline: "2px solid", outlineColor: "primary.main" },
        }}
      >
        <DrawnPicture
          picture={picture}
          sx={{ display: "block", width: "100%", height: 150, objectFit: "contain", bgcolor: "#fff" }}
        />
        <Box sx={{ fontWeight: 700, mt: 1 }}>{book.title}</Box>
        <Box sx={{ fontSize: 13, color: "text.secondary" }}>
          {[book.subtitle, count(book.sheets, "sheet")].filter(Boolean).join(" · ")}
        </Box>
      </Box>
      <PictureProblem picture={picture} name={book.title} />
    </li>
  );
}
