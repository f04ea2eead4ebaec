import { createContext, useContext } from "react";
import { useBook, useChange } from "../api/book";
import type { Note } from "../api/types";
import { useSheet } from "../frame/useSheet";
import { useSheetLabels } from "../labels/hand/useLabels";
import { toGround, toPage, type Place } from "../page/onGround";
import { t } from "../texts/t";

export type NoteKind = Note["kind"];

/** How many places a note of a kind takes until it is whole; none where it goes on until Enter. */
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

/** Which note is selected, and whether a new one is being drawn. */
export const NotesContext = createContext<NotesState>({
  open: false,
  setOpen: () => undefined,
  picked: null,
  setPicked: () => undefined,
  making: null,
  setMaking: () => undefined,
});

const NONE: Note[] = [];

/** The notes of the book, what changes them, and the way between the page and the ground. */
export function useNotes() {
  const book = useBook();
  const { change } = useChange();
  const { number } = useSheet();
  const state = useContext(NotesContext);
  const data = useSheetLabels(number, state.open);
  const map = data?.to_ground;
  const way = map
    ? { toGround: (place: Place) => toGround(map, place), toPage: (place: Place) => toPage(map, place) }
    : null;
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
      ...(kind === "text" && { text: t("Note") }),
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
  text: t("text"),
  line: t("line or arrow"),
  rectangle: "rectangle",
  ellipse: "ellipse",
  area: "area",
};

export const titleOf = (note: Note) =>
  note.text?.split("\n")[0] || `${noteKinds[note.kind]} ${note.id.replace("note-", "")}`;
