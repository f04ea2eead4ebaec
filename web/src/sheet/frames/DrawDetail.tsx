import { Box } from "@mui/material";
import { useEffect, useRef, useState, type PointerEvent } from "react";
import type { Rectangle } from "../../api/types";
import { FrameHint } from "./FrameHint";
import { round } from "../../page/onGround";
import { onScreen } from "../onScreen";
import { t } from "../../texts/t";

// Smaller than this it was a click: a detail of the usual size comes there.
const LEAST_MM = 2;
// Of a new detail: its width on the page, how many times as large it is without a box, and how far from the frame's edge.
const WIDE_MM = 70,
  TIMES = 4,
  GAP_MM = 6;

// A detail as it is asked for: its middle in the map frame, how many times as large, its own box on the page.
export interface DrawnDetail {
  at_mm: [number, number];
  times: number;
  box: Rectangle;
}

// The new one keeps out of the way of what it shows: in the corner of the frame across from it.
function detailOf([x, y, width, height]: Rectangle, frame: Rectangle): DrawnDetail {
  const [left, top, wide, high] = frame;
  const own = Math.min(WIDE_MM, wide / 3);
  const tall = Math.min((own * height) / width, high / 2);
  const middle: [number, number] = [round(x + width / 2), round(y + height / 2)];
  return {
    at_mm: middle,
    times: round(Math.max(own / width, 1)),
    box: [
      middle[0] > wide / 2 ? left + GAP_MM : left + wide - own - GAP_MM,
      middle[1] > high / 2 ? top + GAP_MM : top + high - tall - GAP_MM,
      own,
      tall,
    ],
  };
}

interface DrawDetailProps {
  // The map frame on the page, in mm.
  frame: Rectangle;
  perMm: number;
  onDrawn: (detail: DrawnDetail) => void;
  onCancel: () => void;
}

/**
 * The box of a new detail is drawn on the map: dragged, or put where it is clicked; Enter puts it into the middle.
 */
export function DrawDetail({ frame, perMm, onDrawn, onCancel }: DrawDetailProps) {
  const surface = useRef<HTMLDivElement>(null);
  const [from, setFrom] = useState<[number, number] | null>(null);
  const [to, setTo] = useState<[number, number]>([0, 0]);
  const [left, top, width, height] = frame;
  useEffect(() => surface.current?.focus(), []);
  const usual = ([x, y]: [number, number]): Rectangle => {
    const w = Math.min(WIDE_MM, width / 3) / TIMES,
      h = w * 0.72;
    return [x - w / 2, y - h / 2, w, h];
  };
  const at = (event: PointerEvent): [number, number] => {
    const box = surface.current!.getBoundingClientRect();
    return [(event.clientX - box.left) / perMm, (event.clientY - box.top) / perMm];
  };
  const box: Rectangle | null = from && [
    Math.min(from[0], to[0]),
    Math.min(from[1], to[1]),
    Math.abs(to[0] - from[0]),
    Math.abs(to[1] - from[1]),
  ];
  const drop = () => {
    if (!from || !box) return;
    setFrom(null);
    onDrawn(detailOf(Math.min(box[2], box[3]) < LEAST_MM ? usual(from) : box, frame));
  };
  return (
    <>
      <Box
        ref={surface}
        role="application"
        tabIndex={0}
        aria-label={t("Draw the box of the detail on the map: drag, or press Enter for the centre; Escape cancels")}
        data-draw-detail=""
        onKeyDown={(event) => {
          if (event.key === "Escape") onCancel();
          if (event.key === "Enter") onDrawn(detailOf(usual([width / 2, height / 2]), frame));
        }}
        onPointerDown={(event: PointerEvent) => {
          event.stopPropagation();
          event.currentTarget.setPointerCapture(event.pointerId);
          setFrom(at(event));
          setTo(at(event));
        }}
        onPointerMove={(event: PointerEvent) => from && setTo(at(event))}
        onPointerUp={drop}
        sx={{
          ...onScreen([left, top, width, height], perMm),
          cursor: "crosshair",
          outline: "2px dashed",
          outlineColor: "primary.main",
          touchAction: "none",
        }}
      >
        {box && (
          <Box
            sx={{
              ...onScreen(box, perMm),
              outline: "2px solid",
              outlineColor: "primary.main",
              bgcolor: "rgba(31, 111, 120, 0.15)",
            }}
          />
        )}
      </Box>
      <FrameHint left={left * perMm} top={top * perMm}>
        {t("Drag a box around the detail; Escape cancels")}
      </FrameHint>
    </>
  );
}
