import { useEffect, useMemo, useState, type ReactNode } from "react";
import { useSheet } from "../frame/useSheet";
import { NotesContext, type NoteKind } from "./useNotes";

/** What a step knows of the notes on its page, until it is left. */
export function NotesScope({ children }: { children: ReactNode }) {
  const { number } = useSheet();
  const [open, setOpen] = useState(false);
  const [picked, setPicked] = useState<string | null>(null);
  const [making, setMaking] = useState<NoteKind | null>(null);
  useEffect(() => setMaking(null), [number]);
  const value = useMemo(() => ({ open, setOpen, picked, setPicked, making, setMaking }), [open, picked, making]);
  return <NotesContext.Provider value={value}>{children}</NotesContext.Provider>;
}
