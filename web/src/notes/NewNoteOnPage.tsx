import { Box, Button } from "@mui/material";
import { useState, type KeyboardEvent, type MouseEvent } from "react";
import { noteKinds, placesOf, useNotes, type NoteKind } from "./useNotes";
import type { Place } from "../page/onGround";
import { toldElsewhere } from "../api/toldElsewhere";
import { t } from "../texts/t";

// What each kind asks for.
const ASKS: Record<NoteKind, string> = {
  text: t("Click to place the text."),
  line: t("Click each point, ending at the tip; then press Enter or double-click."),
  rectangle: t("Click two opposite corners."),
  ellipse: t("Click two opposite corners of the ellipse’s box."),
  area: t("Click each corner; then Enter or a double click."),
};

/**
 * A new note is put on the page, place by place. From the keyboard it is put in the middle, to be moved from there.
 */
export function NewNoteOnPage({ perMm, size: [width, height] }: { perMm: number; size: [number, number] }) {
  const { making, setMaking, way, add } = useNotes();
  const [places, setPlaces] = useState<Place[]>([]);
  if (!making || !way) return null;
  const least = making === "area" ? 3 : (placesOf[making] ?? 2);
  const finish = (all: Place[]) => void add(making, all.map(way.toGround)).catch(toldElsewhere);
  const click = (event: MouseEvent<HTMLElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    const next: Place[] = [...places, [(event.clientX - box.left) / perMm, (event.clientY - box.top) / perMm]];
    if (next.length === placesOf[making]) return finish(next);
    // The second click of a double click is no place of its own.
    if (event.detail > 1 && places.length >= least) return finish(places);
    if (event.detail <= 1) setPlaces(next);
  };
  const inMiddle = () => {
    const [x, y] = [width / 2, height / 2];
    const all: Record<NoteKind, Place[]> = {
      text: [[x, y]],
      line: [
        [x - 15, y],
        [x + 15, y],
      ],
      rectangle: [
        [x - 15, y - 10],
        [x + 15, y + 10],
      ],
      ellipse: [
        [x - 15, y - 10],
        [x + 15, y + 10],
      ],
      area: [
        [x - 15, y + 10],
        [x, y - 10],
        [x + 15, y + 10],
      ],
    };
    finish(all[making]);
  };
  const press = (event: KeyboardEvent) => {
    if (event.key === "Escape") setMaking(null);
    if (event.key === "Enter" && event.target === event.currentTarget) {
      if (places.length >= least) finish(places);
      else if (places.length === 0) inMiddle();
    }
  };
  return (
    <Box
      role="group"
      tabIndex={0}
      ref={(element: HTMLElement | null) => element?.focus()}
      aria-label={t("Place the new %{making}", { making: noteKinds[making] })}
      onClick={click}
      onKeyDown={press}
      sx={{ position: "absolute", inset: 0, cursor: "crosshair", outline: "none" }}
    >
      <svg
        viewBox={`0 0 ${width} ${height}`}
        style={{ position: "absolute", inset: 0, width: "100%", height: "100%", pointerEvents: "none" }}
      >
        <polyline
          points={places.flat().join(" ")}
          fill="none"
          stroke="#8c2f39"
          strokeWidth={2 / perMm}
          strokeDasharray={`${4 / perMm}`}
        />
        {places.map(([x, y], index) => (
          <circle key={index} cx={x} cy={y} r={4 / perMm} fill="#8c2f39" />
        ))}
      </svg>
      <Box
        sx={{
          position: "absolute",
          left: 8,
          top: 8,
          p: 1,
          bgcolor: "background.paper",
          border: 1,
          borderColor: "divider",
          fontSize: 13,
        }}
        onClick={(event) => event.stopPropagation()}
      >
        {ASKS[making]} <Button onClick={inMiddle}>{t("Centre it")}</Button>
        <Button onClick={() => setMaking(null)}>{t("Cancel")}</Button>
      </Box>
    </Box>
  );
}
