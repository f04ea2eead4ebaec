import { useQuery } from "@tanstack/react-query";
import { createContext, useContext, useMemo } from "react";
import { useBook, useChange } from "../api/book";
import { get } from "../api/client";
import type { Note } from "../api/types";
import { useSheet } from "../frame/useSheet";
import { labelsPath, type SheetLabels } from "../labels/hand/useLabels";

export type NoteKind = Note["kind"];
export type Place = [number, number];

// How many places a note of a kind takes until it is whole; none where it goes on until Enter.
export const placesOf: Record<NoteKind, number | null> = { text: 1, line: null, rectangle: 2, ellipse: 2, area: null };

interface NotesState {
  // Are the notes of the page marked, to be edited?
  open: boolean;
  setOpen: (open: boolean) => void;
  picked: string | null;
  setPicked: (id: string | null) => void;
  // What is being put on the page.
  making: NoteKind | null;
  setMaking: (kind: NoteKind | null) => void;
}

export const NotesContext = createContext<NotesState>({
  open: false,
  setOpen: () => undefined,
  picked: null,
  setPicked: () => undefined,
  making: null,
  setMaking: () => undefined,
});

const NONE: Note[] = [];
const round = (value: number) => Math.round(value * 1000) / 1000;

// The notes of the book, what changes them, and the way between the page and the ground.
export function useNotes() {
  const book = useBook();
  const { change } = useChange();
  const { number } = useSheet();
  const state = useContext(NotesContext);
  const { data } = useQuery({
    queryKey: ["labels", book.id, book.revision, number],
    queryFn: ({ signal }) => get<SheetLabels>(labelsPath(book.id, number!), signal),
    enabled: state.open && number !== null,
    staleTime: Infinity,
    placeholderData: (before, query) => (query?.queryKey[3] === number ? before : undefined),
  });
  const map = data?.to_ground ?? null;
  const way = useMemo(() => {
    if (!map) return null;
    const [a, b, c, d, e, f] = map;
    const det = a * d - b * c;
    return {
      toGround: ([x, y]: Place): Place => [round(a * x + c * y + e), round(b * x + d * y + f)],
      toPage: ([x, y]: Place): Place => [(d * (x - e) - c * (y - f)) / det, (a * (y - f) - b * (x - e)) / det],
    };
  }, [map]);
  const collection = book.document.notes;
  const list = collection?.list ?? NONE;
  const write = (label: string, fresh: Note[]) => change(label, { notes: { ...collection, list: fresh } } as never);
  const put = (label: string, note: Note) =>
    write(
      label,
      list.map((known) => (known.id === note.id ? (JSON.parse(JSON.stringify(note)) as Note) : known)),
    );
  const add = async (kind: NoteKind, places: Place[]) => {
    let at = list.length + 1;
    while (list.some((known) => known.id === `note-${at}`)) at += 1;
    const note: Note = {
      id: `note-${at}`,
      kind,
      places,
      ...(kind === "text" && { text: "Note" }),
      ...(kind === "line" && { last_end: "head" as const }),
    };
    await write(`New ${noteKinds[kind]}`, [...list, note]);
    state.setMaking(null);
    state.setPicked(note.id);
  };
  const remove = (note: Note) => {
    state.setPicked(null);
    return write(
      `Remove the note ${titleOf(note)}`,
      list.filter((known) => known.id !== note.id),
    );
  };
  return { ...state, way, ready: data !== undefined, list, put, add, remove };
}

export const noteKinds: Record<NoteKind, string> = {
  text: "text",
  line: "line or arrow",
  rectangle: "rectangle",
  ellipse: "ellipse",
  area: "area",
};

export const titleOf = (note: Note) =>
  note.text?.split("\n")[0] || `${noteKinds[note.kind]} ${note.id.replace("note-", "")}`;
