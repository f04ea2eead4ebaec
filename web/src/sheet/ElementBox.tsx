import { Box } from "@mui/material";
import type { PointerEvent } from "react";
import type { Element, Rectangle } from "../api/types";
import { t } from "../texts/t";

// Only the edge of a neatline responds, so that what lies inside it can be reached.
const EDGE_PX = 7;

/** An element of a page as a box to pick and move. */
export function ElementBox({
  element,
  box,
  perMm,
  selected,
  off,
  fault,
  onPress,
}: {
  element: Element;
  box: Rectangle;
  perMm: number;
  selected: boolean;
  off: boolean;
  fault: boolean;
  onPress: (event: PointerEvent, element: Element) => void;
}) {
  const frame = {
    position: "absolute",
    left: box[0] * perMm,
    top: box[1] * perMm,
    width: Math.max(box[2] * perMm, 4),
    height: Math.max(box[3] * perMm, 4),
    transform: element.rotation_deg ? `rotate(${element.rotation_deg}deg)` : undefined,
  } as const;
  const line = selected ? "2px solid #1f6f78" : off || fault ? "2px dashed #a3211b" : "1px solid transparent";
  const edges = element.kind === "neatline";
  const responds = { cursor: element.locked ? "not-allowed" : "move", pointerEvents: "auto" } as const;
  return (
    <Box
      data-element={element.id}
      onPointerDown={edges ? undefined : (event) => onPress(event, element)}
      sx={{
        ...frame,
        outline: line,
        outlineOffset: -1,
        ...(edges ? { pointerEvents: "none" } : responds),
        "&:hover": { outline: selected ? line : "1px solid #1f6f7899" },
      }}
    >
      {fault && (
        <Box
          sx={{
            position: "absolute",
            left: 0,
            top: 0,
            px: 0.5,
            bgcolor: "#a3211b",
            color: "#fff",
            fontSize: 12,
            fontWeight: 700,
            lineHeight: "16px",
          }}
        >
          {t("! cannot be filled in on this sheet")}
        </Box>
      )}
      {edges &&
        [
          { left: 0, right: 0, top: 0, height: EDGE_PX },
          { left: 0, right: 0, bottom: 0, height: EDGE_PX },
          { top: 0, bottom: 0, left: 0, width: EDGE_PX },
          { top: 0, bottom: 0, right: 0, width: EDGE_PX },
        ].map((edge, index) => (
          <Box
            key={index}
            onPointerDown={(event) => onPress(event, element)}
            sx={{ position: "absolute", ...edge, ...responds }}
          />
        ))}
    </Box>
  );
}
