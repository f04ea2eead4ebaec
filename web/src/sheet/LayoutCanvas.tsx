import { Box } from "@mui/material";
import { useMemo } from "react";
import type { Rectangle } from "../api/types";
import { Tag } from "../page/Tag";
import { ElementBox } from "./ElementBox";
import { Handles } from "./Handles";
import { around, bottom, right, shifted, type Boxes } from "./boxes";
import { useLayout } from "./layout";
import { useDrawnPartsFollow } from "./useDrawnPartsFollow";
import { useLayoutDrag } from "./useLayoutDrag";
import { onScreen } from "./onScreen";
import { t } from "../texts/t";

interface LayoutCanvasProps {
  perMm: number;
  selected: string[];
  onPick: (ids: string[]) => void;
  // Boxes as they are to be, when the pointer lets go.
  onPlace: (label: string, boxes: Boxes) => Promise<unknown>;
  // Degrees clockwise.
  onTurn: (id: string, angle: number) => Promise<unknown>;
  // The path in the document of what keeps this sheet from being drawn.
  fault?: string;
}

/** The elements of the page as boxes to pick, move and size; the drawing under them is the server's. */
export function LayoutCanvas({ perMm, selected, onPick, onPlace, onTurn, fault }: LayoutCanvasProps) {
  const { layout, frame, shift } = useLayout();
  const { page_width_mm: width, page_height_mm: height } = frame;
  const boxes = useMemo(
    () => Object.fromEntries(Object.entries(frame.elements).map(([id, box]) => [id, shifted(box, shift, 0)])),
    [frame.elements, shift],
  );
  const live = useMemo(() => shifted(frame.live, shift, 0), [frame.live, shift]);
  const elements = layout.elements.filter((element) => !element.hidden);
  const page: Rectangle = useMemo(() => [0, 0, width, height], [width, height]);
  const drag = useLayoutDrag({ perMm, selected, boxes, live, page, onPick, onPlace, onTurn });
  const { surface, boxOf, moved, turned, lines, marquee } = drag;
  useDrawnPartsFollow(moved, boxes);
  const place = fault?.match(/layout\/elements\/(\d+)/)?.[1];
  const faulty = place === undefined ? undefined : layout.elements[Number(place)]?.id;
  const lone = selected.length === 1 ? elements.find((element) => element.id === selected[0]) : undefined;
  const status = moved ? around(Object.values(moved)) : null;
  return (
    <Box
      ref={surface}
      data-canvas=""
      onPointerDown={drag.pressPage}
      onPointerMove={drag.move}
      onPointerUp={drag.release}
      onPointerCancel={drag.cancel}
      sx={{ position: "absolute", inset: 0, touchAction: "none", userSelect: "none" }}
    >
      {elements.map((element) => (
        <ElementBox
          key={element.id}
          element={turned !== null && element.id === lone?.id ? { ...element, rotation_deg: turned } : element}
          box={boxOf(element.id)}
          perMm={perMm}
          selected={selected.includes(element.id)}
          off={!meets(boxOf(element.id), page)}
          fault={faulty === element.id}
          onPress={drag.pressElement}
        />
      ))}
      {lone && !lone.locked && (
        <Handles
          element={lone}
          box={boxOf(lone.id)}
          angle={turned ?? lone.rotation_deg ?? 0}
          perMm={perMm}
          onPress={drag.pressHandle}
          onTurn={drag.pressTurn}
        />
      )}
      {lines.map((guide, index) => (
        <Box
          key={index}
          sx={{
            position: "absolute",
            bgcolor: "#8c2f39",
            pointerEvents: "none",
            ...(guide.axis === 0
              ? { left: guide.at * perMm, top: 0, bottom: 0, width: "1px" }
              : { top: guide.at * perMm, left: 0, right: 0, height: "1px" }),
          }}
        />
      ))}
      {marquee && (
        <Box
          sx={{
            ...onScreen(marquee, perMm),
            border: "1px dashed #1f6f78",
            bgcolor: "#1f6f7818",
            pointerEvents: "none",
          }}
        />
      )}
      {turned !== null && lone && (
        <Tag sx={{ left: right(boxOf(lone.id)) * perMm + 8, top: boxOf(lone.id)[1] * perMm }}>{turned}°</Tag>
      )}
      {status && (
        <Tag
          sx={{
            ...(status[0] > width / 2
              ? { right: Math.max((width - right(status)) * perMm, 0) }
              : { left: Math.max(status[0] * perMm, 0) }),
            ...(bottom(status) > height - 12
              ? { bottom: (height - status[1]) * perMm + 6 }
              : { top: bottom(status) * perMm + 6 }),
          }}
        >
          {inWords(status, live)}
        </Tag>
      )}
    </Box>
  );
}

const tidy = (mm: number) => String(Math.round(mm * 100) / 100);

// Where a box is, how large, and how far from the margins.
function inWords(box: Rectangle, live: Rectangle): string {
  return t(
    "%{value}, %{value2} · %{value3} × %{value4} mm · from the margins %{value5}, %{value6}, %{value7}, %{value8}",
    {
      value: tidy(box[0]),
      value2: tidy(box[1]),
      value3: tidy(box[2]),
      value4: tidy(box[3]),
      value5: tidy(box[0] - live[0]),
      value6: tidy(box[1] - live[1]),
      value7: tidy(right(live) - right(box)),
      value8: tidy(bottom(live) - bottom(box)),
    },
  );
}

const meets = (box: Rectangle, page: Rectangle) =>
  box[0] < right(page) && right(box) > page[0] && box[1] < bottom(page) && bottom(box) > page[1];
