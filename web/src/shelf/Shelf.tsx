import { Box, Button, TextField, Typography } from "@mui/material";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useRef, useState, type FormEvent } from "react";
import { Link, useNavigate } from "react-router";
import { get, sendFile, upload } from "../api/client";
import { count, readScale } from "../api/words";
import { Notice } from "../frame/Notice";
import { OpenServer } from "../frame/OpenServer";
import { ReferenceField, type Suggestion } from "../reference/ReferenceField";

interface Look { count: number; suggestions: Suggestion[] }

interface Listed { id: number; title: string; subtitle: string; sheets: number; revision: number }

// All books; a new one from data, or one that comes as a file.
export function Shelf() {
  const books = useQuery({ queryKey: ["books"], queryFn: ({ signal }) => get<Listed[]>("/api/books", signal) });
  const [problem, setProblem] = useState<string | null>(null);
  return (
    <Box sx={{ height: "100%", display: "flex", flexDirection: "column" }}>
      <OpenServer />
      <Box component="header" sx={{ display: "flex", alignItems: "center", gap: 1.75, height: 46, bgcolor: "ink.bar", color: "ink.onBar", flexShrink: 0 }}>
        <Box component="img" src="/mark.svg" alt="" sx={{ width: 46, height: 46 }} />
        <Typography component="h1" sx={{ fontSize: 16, fontWeight: 700 }}>Tile Loom</Typography>
      </Box>
      {problem && <Notice text={problem} onClose={() => setProblem(null)} />}
      <Box component="main" sx={{ flex: 1, minHeight: 0, overflow: "auto", p: 4, display: "grid", gridTemplateColumns: "minmax(0, 1fr) 340px", gap: 4, alignItems: "start", maxWidth: 1240, width: "100%", mx: "auto" }}>
        <Box component="section" aria-labelledby="books-title">
          <Typography component="h2" variant="h2" id="books-title" sx={{ mb: 2 }}>Books</Typography>
          {books.error && <Typography role="alert">{books.error.message}</Typography>}
          {books.data?.length === 0 && <Typography color="text.secondary">No book yet. Start one from data on the right.</Typography>}
          <Box component="ul" sx={{ m: 0, p: 0, listStyle: "none", display: "grid", gridTemplateColumns: "repeat(auto-fill, minmax(230px, 1fr))", gap: 2 }}>
            {books.data?.map((book) => (
              <li key={book.id}>
                <Box component={Link} to={`/books/${book.id}/weave`} sx={{ display: "block", bgcolor: "background.paper", border: 1, borderColor: "divider", p: 1.5, color: "text.primary", textDecoration: "none", "&:hover": { borderColor: "thread.main" }, "&:focus-visible": { outline: "2px solid", outlineColor: "primary.main" } }}>
                  <Box component="img" alt="" src={`/api/books/${book.id}/key.svg?r=${book.revision}`} sx={{ display: "block", width: "100%", height: 150, objectFit: "contain", bgcolor: "#fff" }} />
                  <Box sx={{ fontWeight: 700, mt: 1 }}>{book.title}</Box>
                  <Box sx={{ fontSize: 13, color: "text.secondary" }}>{[book.subtitle, count(book.sheets, "sheet")].filter(Boolean).join(" · ")}</Box>
                </Box>
              </li>
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

// Goes to a book that has just been made; the list of books is asked for anew.
function useArrival() {
  const navigate = useNavigate();
  const client = useQueryClient();
  return async (made: { id: number }) => {
    await client.invalidateQueries({ queryKey: ["books"] });
    await navigate(`/books/${made.id}/weave`);
  };
}

const paper = { bgcolor: "background.paper", border: 1, borderColor: "divider", p: 2.25 };

// A book from a GeoJSON file: its features are the study area until another layer is chosen.
function Start({ onProblem }: { onProblem: (text: string | null) => void }) {
  const arrive = useArrival();
  const input = useRef<HTMLInputElement>(null);
  const [file, setFile] = useState<File | null>(null);
  const [title, setTitle] = useState("");
  const [reference, setReference] = useState("");
  const [scale, setScale] = useState("1:2,500");
  const [busy, setBusy] = useState(false);
  const [look, setLook] = useState<Look | null>(null);
  const choose = async (chosen: File | null) => {
    setFile(chosen);
    setLook(null);
    onProblem(null);
    if (!chosen) return;
    try {
      setLook(await upload<Look>("/api/books/look", chosen));
    } catch (error) {
      onProblem(`${chosen.name} cannot be used. ${(error as Error).message}`);
    }
  };
  const start = async (event: FormEvent) => {
    event.preventDefault();
    onProblem(null);
    const denominator = readScale(scale);
    if (!file) return onProblem("Choose the GeoJSON file that the new book is about.");
    if (denominator === null) return onProblem("Write a scale, such as 2500 or 1:2,500.");
    setBusy(true);
    try {
      await arrive(await upload<{ id: number }>("/api/books/start", file, { title, scale: String(denominator), reference }));
    } catch (error) {
      onProblem((error as Error).message);
      setBusy(false);
    }
  };
  return (
    <Box component="form" aria-labelledby="start-title" onSubmit={(event) => void start(event)} sx={{ ...paper, display: "grid", gap: 1.5 }}>
      <Typography component="h2" variant="h2" id="start-title">Start a book</Typography>
      <input ref={input} type="file" hidden accept=".geojson,.json,application/geo+json" aria-label="GeoJSON file of the new book" onChange={(event) => void choose(event.target.files?.[0] ?? null)} />
      <Button variant="outlined" onClick={() => input.current?.click()}>{file ? file.name : "Choose a GeoJSON file"}</Button>
      {look && <Typography role="status" sx={{ fontSize: 13, color: "text.secondary" }}>{count(look.count, "feature")}; {count(look.suggestions.length, "reference")} for its ground below.</Typography>}
      <TextField label="Title" value={title} onChange={(event) => setTitle(event.target.value)} helperText="the file’s name where left empty" />
      <ReferenceField value={reference} onChange={setReference} suggestions={look?.suggestions ?? []} help="name, code or place; the UTM zone of the data where left empty" />
      <TextField label="Scale" value={scale} onChange={(event) => setScale(event.target.value)} />
      <Button type="submit" variant="contained" color="secondary" disabled={busy}>{busy ? "Starting…" : "Start"}</Button>
    </Box>
  );
}

function Open({ onProblem }: { onProblem: (text: string | null) => void }) {
  const arrive = useArrival();
  const input = useRef<HTMLInputElement>(null);
  const open = async (file: File | undefined) => {
    if (!file) return;
    onProblem(null);
    try {
      await arrive(await sendFile<{ id: number }>("/api/books", file));
    } catch (error) {
      onProblem(`${file.name} was not opened. ${(error as Error).message}`);
    }
  };
  return (
    <Box component="section" aria-labelledby="open-title" sx={{ ...paper, display: "grid", gap: 1.5 }}>
      <Typography component="h2" variant="h2" id="open-title">Open a book file</Typography>
      <Box sx={{ fontSize: 13.5, color: "text.secondary" }}>A book that was taken as one file, with its data inside.</Box>
      <input ref={input} type="file" hidden accept=".json,application/json" aria-label="Book file" onChange={(event) => { void open(event.target.files?.[0]); event.target.value = ""; }} />
      <Button variant="outlined" onClick={() => input.current?.click()}>Choose a book file</Button>
    </Box>
  );
}
