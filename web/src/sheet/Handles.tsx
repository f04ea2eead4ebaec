import { Box } from "@mui/material";
import type { PointerEvent } from "react";
import type { Element, Rectangle } from "../api/types";
import { HANDLES } from "./boxes";
import { rotates } from "./kinds";
import { t } from "../texts/t";

interface HandlesProps {
  element: Element;
  box: Rectangle;
  angle: number;
  perMm: number;
  onPress: (event: PointerEvent, id: string, handle: { x: number; y: number }) => void;
  onTurn: (event: PointerEvent, id: string) => void;
}

/** Eight handles to size by, and one above them to turn by, all turned with the element. */
export function Handles({ element, box: [left, top, w, h], angle, perMm, onPress, onTurn }: HandlesProps) {
  return (
    <Box
      sx={{
        position: "absolute",
        left: left * perMm,
        top: top * perMm,
        width: w * perMm,
        height: h * perMm,
        transform: angle ? `rotate(${angle}deg)` : undefined,
        pointerEvents: "none",
      }}
    >
      {HANDLES.map((handle) => (
        <Box
          key={`${handle.x},${handle.y}`}
          data-handle={`${handle.x},${handle.y}`}
          onPointerDown={(event) => onPress(event, element.id, handle)}
          sx={{
            position: "absolute",
            left: `calc(${(handle.x + 1) * 50}% - 5px)`,
            top: `calc(${(handle.y + 1) * 50}% - 5px)`,
            width: 10,
            height: 10,
            bgcolor: "#fffdf6",
            border: 2,
            borderColor: "#1f6f78",
            cursor: handle.cursor,
            pointerEvents: "auto",
          }}
        />
      ))}
      {rotates(element) && (
        <Box
          data-handle="turn"
          title={t("Rotate")}
          onPointerDown={(event) => onTurn(event, element.id)}
          sx={{
            position: "absolute",
            left: "calc(50% - 6px)",
            top: -26,
            width: 12,
            height: 12,
            borderRadius: "50%",
            bgcolor: "#fffdf6",
            border: 2,
            borderColor: "#1f6f78",
            cursor: "grab",
            pointerEvents: "auto",
            "&::after": {
              content: '""',
              position: "absolute",
              left: 3,
              top: 10,
              width: "2px",
              height: 12,
              bgcolor: "#1f6f78",
            },
          }}
        />
      )}
    </Box>
  );
}
