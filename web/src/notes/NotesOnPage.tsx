import { Box } from "@mui/material";
import { useEffect, useRef, useState, type KeyboardEvent, type PointerEvent } from "react";
import type { Note } from "../api/types";
import { toldElsewhere } from "../api/toldElsewhere";
import { NewNoteOnPage } from "./NewNoteOnPage";
import { arrowWay } from "../page/arrowWay";
import type { Place } from "../page/onGround";
import { titleOf, useNotes } from "./useNotes";
import { t } from "../texts/t";

// So far in px is no drag.
const STILL_PX = 3;

/** The places of notes over the page, each to be dragged or moved by the arrow keys. */
export function NotesOnPage({ perMm, size: [width, height] }: { perMm: number; size: [number, number] }) {
  const { open, way, list, picked, setPicked, making, put, remove } = useNotes();
  const [moved, setMoved] = useState<{ id: string; index: number; at: Place } | null>(null);
  const from = useRef<{ x: number; y: number; at: Place } | null>(null);
  useEffect(() => setMoved(null), [list]);
  if (!open || !way) return null;
  if (making) return <NewNoteOnPage perMm={perMm} size={[width, height]} />;
  const place = (note: Note, index: number, at: Place) =>
    void put(`Move the note ${titleOf(note)}`, {
      ...note,
      places: note.places.map((known, number) => (number === index ? way.toGround(at) : known)),
    }).catch(toldElsewhere);
  const down = (event: PointerEvent<SVGElement>, note: Note, index: number, at: Place) => {
    event.stopPropagation();
    event.currentTarget.setPointerCapture(event.pointerId);
    setPicked(note.id);
    from.current = { x: event.clientX, y: event.clientY, at };
    setMoved({ id: note.id, index, at });
  };
  const at = (event: PointerEvent): Place => [
    from.current!.at[0] + (event.clientX - from.current!.x) / perMm,
    from.current!.at[1] + (event.clientY - from.current!.y) / perMm,
  ];
  const drag = (event: PointerEvent) => {
    if (from.current && moved) setMoved({ ...moved, at: at(event) });
  };
  const up = (event: PointerEvent, note: Note, index: number) => {
    const start = from.current;
    if (!start) return;
    const end = at(event);
    from.current = null;
    if (Math.hypot(end[0] - start.at[0], end[1] - start.at[1]) * perMm > STILL_PX) place(note, index, end);
    else setMoved(null);
  };
  const press = (event: KeyboardEvent, note: Note, index: number, [x, y]: Place) => {
    const way = arrowWay(event);
    if (way) place(note, index, [x + way[0], y + way[1]]);
    else if (event.key === "Delete") {
      event.stopPropagation();
      void remove(note).catch(toldElsewhere);
    } else if (event.key === "Enter" || event.key === " ") {
      event.preventDefault();
      setPicked(note.id);
    } else if (event.key === "Escape") setPicked(null);
  };
  return (
    <Box
      component="svg"
      role="group"
      aria-label={t("Notes of the page")}
      viewBox={`0 0 ${width} ${height}`}
      sx={{ position: "absolute", inset: 0, width: "100%", height: "100%", pointerEvents: "none" }}
    >
      {list.flatMap((note) =>
        note.places.map((known, index) => {
          const [x, y] = moved?.id === note.id && moved.index === index ? moved.at : way.toPage(known as Place);
          if (x < 0 || y < 0 || x > width || y > height) return [];
          const chosen = picked === note.id;
          return (
            <Box
              component="circle"
              key={`${note.id} ${index}`}
              role="button"
              tabIndex={0}
              aria-pressed={chosen}
              aria-label={t("%{note}, place %{value} of %{length}", {
                note: titleOf(note),
                value: index + 1,
                length: note.places.length,
              })}
              data-note={note.id}
              cx={x}
              cy={y}
              r={(chosen ? 6 : 4.5) / perMm}
              onPointerDown={(event: PointerEvent<SVGElement>) => down(event, note, index, [x, y])}
              onPointerMove={drag}
              onPointerUp={(event: PointerEvent) => up(event, note, index)}
              onKeyDown={(event: KeyboardEvent) => press(event, note, index, [x, y])}
              sx={{
                pointerEvents: "auto",
                cursor: "move",
                touchAction: "none",
                outline: "none",
                fill: chosen ? "#8c2f39" : "#fffdf6",
                stroke: chosen ? "#fffdf6" : "#8c2f39",
                strokeWidth: 1.5 / perMm,
                "&:hover, &:focus-visible": { stroke: "#1f6f78", strokeWidth: 2.5 / perMm },
              }}
            />
          );
        }),
      )}
    </Box>
  );
}
