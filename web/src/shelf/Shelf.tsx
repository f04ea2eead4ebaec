import { Box, TextField, Typography } from "@mui/material";
import { useState } from "react";
import { Choice } from "../fields/Choice";
import { Notice } from "../frame/Notice";
import { OpenGuide } from "../guide/OpenGuide";
import { OpenServer } from "../frame/OpenServer";
import { BinList } from "./BinList";
import { BookOnShelf } from "./BookOnShelf";
import { onShelf, SORTS, type Sort } from "./onShelf";
import { Open } from "./Open";
import { Start } from "./Start";
import { useShelf } from "./useShelf";
import { t } from "../texts/t";

/** All books; a new one from data, or one that comes as a file. */
export function Shelf() {
  const { books, bin, rename, remove, restore, destroy } = useShelf();
  const [problem, setProblem] = useState<string | null>(null);
  const [search, setSearch] = useState("");
  const [sort, setSort] = useState<Sort>("opened");
  const told = (work: Promise<unknown>) => void work.catch((error: Error) => setProblem(error.message));
  const shown = onShelf(books.data ?? [], search, sort);
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
          {/* It stays as long as anything is searched for, however few books are left. */}
          {((books.data?.length ?? 0) > 1 || search !== "") && (
            <Box sx={{ display: "grid", gridTemplateColumns: "minmax(0, 1fr) 200px", gap: 2, mb: 2 }}>
              <TextField
                type="search"
                label={t("Search")}
                placeholder={t("words of the title or subtitle")}
                value={search}
                onChange={(event) => setSearch(event.target.value)}
              />
              <Choice
                label={t("Sorted by")}
                value={sort}
                choices={SORTS}
                onChoose={(chosen) => Promise.resolve(setSort(chosen))}
              />
            </Box>
          )}
          {books.data && books.data.length > 0 && shown.length === 0 && (
            <Typography role="status" color="text.secondary">
              {t("No book has all of these words.")}
            </Typography>
          )}
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
            {shown.map((book) => (
              <BookOnShelf
                key={book.id}
                book={book}
                onRename={(title) => rename(book, title)}
                onDelete={() => told(remove(book))}
              />
            ))}
          </Box>
          {!!bin.data?.length && (
            <BinList
              books={bin.data}
              onRestore={(book) => told(restore(book))}
              onDestroy={(book) => told(destroy(book))}
            />
          )}
        </Box>
        <Box sx={{ display: "grid", gap: 3 }}>
          <Start onProblem={setProblem} />
          <Open onProblem={setProblem} />
        </Box>
      </Box>
    </Box>
  );
}
