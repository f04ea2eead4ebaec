import { Box } from "@mui/material";
import { useRef } from "react";
import { useBook } from "../api/book";
import type { Cell, Extent, TrialCell } from "../api/types";
import { coordinate, ratio } from "../api/words";
import { useCellLayer } from "./useCellLayer";
import { usePick, useSelect } from "./useClicks";
import { useDraw, type Draw } from "./useDraw";
import { useGround } from "./useGround";
import { useMarks } from "./useMarks";
import { useOlMap } from "./useOlMap";
import { useValue } from "./useValue";
import { t } from "../texts/t";
import { rich } from "../texts/rich";

interface GroundMapProps {
  label: string;
  // Something lies over the left of the map; what is shown stays clear of it.
  clearLeft?: boolean;
  box: Extent | null;
  cells?: Cell[];
  // Cells that would replace the kept ones.
  ghosts?: TrialCell[] | null;
  selected?: number[];
  onSelect?: (number: number, add: boolean) => void;
  // The selected cells were dragged by so much.
  onMoved?: (dx: number, dy: number) => Promise<unknown>;
  // Features to point out, by their boxes.
  marks?: Extent[];
  // Rings to show where something would lie.
  rings?: [number, number][][];
  // What is being drawn by hand, and its corners when it is done.
  draw?: Draw | null;
  onDrawn?: (corners: [number, number][]) => void;
  // A click on the ground: where, and how near counts (both in ground units).
  onPick?: (x: number, y: number, reach: number, add: boolean) => void;
}

// What stands in the lower right corner of the map.
const NOTE = {
  position: "absolute",
  right: 8,
  px: 1,
  py: 0.25,
  bgcolor: "background.paper",
  border: 1,
  borderColor: "divider",
  fontSize: 12.5,
  pointerEvents: "none",
};

const NO_MARKS: Extent[] = [];
const NONE: number[] = [];
const NO_RINGS: [number, number][][] = [];
/** The ground of the book as the core draws it, with cells that respond. */
export function GroundMap({
  label,
  clearLeft = false,
  box,
  cells,
  ghosts,
  selected = NONE,
  onSelect,
  onMoved,
  marks = NO_MARKS,
  rings = NO_RINGS,
  draw = null,
  onDrawn,
  onPick,
}: GroundMapProps) {
  const book = useBook();
  const target = useRef<HTMLDivElement>(null);
  const { map, pointer, scale } = useOlMap(target, box, clearLeft);
  const ground = useGround(map);
  const notices = useCellLayer(map, { cells, ghosts, selected, onMoved });
  useMarks(map, marks, rings);
  useDraw(map, draw, onDrawn);
  usePick(map, draw ? undefined : onPick);
  useSelect(map, cells, onSelect);
  const value = useValue(pointer);
  const metresPerPixel = scale ? scale * book.reference.metres_per_unit : null;
  return (
    <Box sx={{ position: "relative", flex: 1, minWidth: 0, bgcolor: "#f3eee2" }}>
      <Box
        ref={target}
        tabIndex={0}
        role="application"
        aria-label={t("%{label}. Arrow keys move %{value}, plus and minus make it larger and smaller.", {
          label,
          value: onMoved ? t("the selected cells") : "it",
        })}
        sx={{
          position: "absolute",
          inset: 0,
          "&:focus-visible": { outline: "2px solid", outlineColor: "primary.main", outlineOffset: -2 },
          "& .ol-zoom": { left: "auto", right: 10, top: 10 },
          "& .ol-zoom button": {
            bgcolor: "background.paper",
            color: "text.primary",
            border: 1,
            borderColor: "divider",
            fontSize: 18,
          },
        }}
      />
      {notices && (
        <Box
          role="status"
          sx={{
            position: "absolute",
            left: "50%",
            top: 56,
            transform: "translateX(-50%)",
            px: 1,
            py: 0.5,
            bgcolor: "#1e2a30",
            color: "#f6f1e6",
            fontSize: 13,
            pointerEvents: "none",
            whiteSpace: "pre",
          }}
        >
          {notices.join("\n")}
        </Box>
      )}
      {ground && (
        <Box role="status" sx={{ ...NOTE, bottom: 40 }}>
          {ground}
        </Box>
      )}
      <Box sx={{ ...NOTE, bottom: 8, display: "flex", gap: 1.5 }}>
        {pointer && (
          <span>{rich(t("<1/> E&ensp;<2/> N"), { 1: coordinate(pointer[0]), 2: coordinate(pointer[1]) })}</span>
        )}
        {value && <span>{value}</span>}
        {metresPerPixel && (
          <span>
            {rich(t("screen about <1/>"), { 1: ratio(Math.round(metresPerPixel / (0.0254 / 96) / 100) * 100) })}
          </span>
        )}
      </Box>
    </Box>
  );
}
