import { Box, Button } from "@mui/material";
import { Flag } from "../fields/Flag";
import { Heading } from "../frame/Card";
import { NoteFields } from "./NoteFields";
import { noteKinds, titleOf, useNotes, type NoteKind } from "./useNotes";
import { t } from "../texts/t";
import { rich } from "../texts/rich";

/** The notes of the book, as the page has them: new ones, the list, the one that is selected. */
export function NotesPanel() {
  const { open, setOpen, ready, way, list, picked, setPicked, making, setMaking } = useNotes();
  const note = list.find((known) => known.id === picked);
  return (
    <>
      <Heading text={t("Notes")} />
      <Flag
        label={t("Edit the notes on the page")}
        value={open}
        onSave={(value) => {
          setOpen(value);
          setMaking(null);
          return Promise.resolve();
        }}
      />
      {open && ready && !way && (
        <Box sx={{ fontSize: 13, color: "text.secondary" }}>{t("Notes cannot be placed on this page.")}</Box>
      )}
      {open && way && (
        <>
          <Box role="group" aria-label={t("New note")} sx={{ display: "flex", flexWrap: "wrap", gap: 0.5 }}>
            {(Object.keys(noteKinds) as NoteKind[]).map((kind) => (
              <Button
                key={kind}
                variant="outlined"
                aria-pressed={making === kind}
                onClick={() => setMaking(making === kind ? null : kind)}
              >
                {rich(t("New <1/>"), { 1: noteKinds[kind] })}
              </Button>
            ))}
          </Box>
          {list.length > 0 && (
            <Box component="ul" aria-label={t("Notes of the book")} sx={{ m: 0, mt: 1, p: 0, listStyle: "none" }}>
              {list.map((known) => (
                <li key={known.id}>
                  <Button
                    aria-pressed={picked === known.id}
                    onClick={() => setPicked(picked === known.id ? null : known.id)}
                    sx={{ color: "text.primary", fontWeight: picked === known.id ? 700 : 400, px: 0 }}
                  >
                    {titleOf(known)}
                  </Button>
                </li>
              ))}
            </Box>
          )}
          {note && <NoteFields key={note.id} note={note} />}
        </>
      )}
    </>
  );
}
