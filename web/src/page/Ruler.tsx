import { Box } from "@mui/material";
import type { PointerEvent } from "react";

const STEPS = [1, 2, 5, 10, 20, 50, 100, 200, 500];

interface RulerProps {
  across?: boolean;
  size: number;
  perMm: number;
  start: number;
  length: number;
  offset: number;
  onPull?: (event: PointerEvent) => void;
}

/** Its breadth in pixels. */
export const RULER = 24;

/** Millimetres along an edge of the table, zero at the page's corner. Guides are pulled out of it. */
export function Ruler({ across = false, size, perMm, start, length, offset, onPull }: RulerProps) {
  const step = STEPS.find((mm) => mm * perMm >= 42) ?? 500;
  const fine = step / (String(step).startsWith("2") ? 2 : 5);
  const marks = Array.from({ length: Math.floor(length / fine + 1e-9) + 1 }, (_, index) => index * fine).filter(
    (mm) => {
      const at = start + mm * perMm;
      return at >= -2 && at <= size + 2;
    },
  );
  const whole = (mm: number) => Math.abs(mm / step - Math.round(mm / step)) < 1e-6;
  return (
    <Box
      aria-hidden
      data-ruler={across ? "across" : "down"}
      onPointerDown={onPull}
      sx={{
        position: "absolute",
        zIndex: 1,
        touchAction: "none",
        cursor: onPull ? (across ? "row-resize" : "col-resize") : undefined,
        bgcolor: "background.default",
        ...(across
          ? { left: offset, top: 0, right: 0, height: offset, borderBottom: 1 }
          : { top: offset, left: 0, bottom: 0, width: offset, borderRight: 1 }),
        borderColor: "table.edge",
        overflow: "hidden",
      }}
    >
      <Box
        component="svg"
        width={across ? size : offset}
        height={across ? offset : size}
        sx={{ display: "block", fontSize: 10, fill: "text.secondary", stroke: "none" }}
      >
        {marks.map((mm) => {
          const at = start + mm * perMm;
          const long = whole(mm) ? 9 : 4;
          return (
            <g key={mm}>
              <line
                stroke="currentColor"
                opacity={0.6}
                {...(across
                  ? { x1: at, x2: at, y1: offset - long, y2: offset }
                  : { y1: at, y2: at, x1: offset - long, x2: offset })}
              />
              {whole(mm) &&
                (across ? (
                  <text x={at + 2} y={10} fill="currentColor">
                    {mm}
                  </text>
                ) : (
                  <text fill="currentColor" transform={`translate(9 ${at + 2}) rotate(90)`}>
                    {mm}
                  </text>
                ))}
            </g>
          );
        })}
      </Box>
    </Box>
  );
}
