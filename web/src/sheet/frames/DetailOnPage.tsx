import { Box } from "@mui/material";
import type { FrameExtent, InsetKind } from "../../api/types";
import { defaults } from "../../generated/defaults";
import { shifted } from "../boxes";
import { useLayout } from "../layout";
import { titleOf } from "../useElements";
import { round } from "../../page/onGround";
import { useDragged } from "./useDragged";
import { detailIn, useFrames, type FramePlace } from "./useFrames";
import { t } from "../../texts/t";

interface DetailOnPageProps {
  element: InsetKind;
  perMm: number;
  onSave: (extent: FrameExtent, label: string) => Promise<unknown>;
}

/** The box of a selected detail in the frame that it is of: it is dragged to another place there. */
export function DetailOnPage({ element, perMm, onSave }: DetailOnPageProps) {
  const { layout, frame, shift } = useLayout();
  const { places } = useFrames();
  const extent = element.extent;
  const moved = async ([dx, dy]: [number, number]) => {
    if (extent?.kind !== "detail" || !place) return;
    const [a, b, c, d] = place.to_ground;
    const fresh: FrameExtent = extent.at_mm
      ? { ...extent, at_mm: [round(extent.at_mm[0] + dx), round(extent.at_mm[1] + dy)] }
      : { ...extent, at: [round(extent.at![0] + a * dx + c * dy), round(extent.at![1] + b * dx + d * dy)] };
    await onSave(fresh, `Place of ${titleOf(element)}`);
  };
  const { by, dragging, handlers } = useDragged(perMm, moved);
  const main = layout.elements.find((known) => known.kind === "map_frame" || known.kind === "index_frame");
  const parent = (extent?.kind === "detail" && extent.frame) || (main?.id ?? "");
  const place: FramePlace | undefined = places.find((known) => known.id === parent);
  if (extent?.kind !== "detail") return null;
  const box = frame.elements[parent],
    own = frame.elements[element.id];
  if (!place || place.globe || !box || !own) return null;
  const [left, top] = shifted(box, shift, 0);
  const middle = extent.at_mm ?? detailIn(place, [left, top], extent.at as [number, number]);
  const times = extent.times ?? defaults.detail_extent.times;
  const width = own[2] / times,
    height = own[3] / times;
  return (
    <Box
      role="group"
      aria-label={t("Drag the box of %{element}", { element: titleOf(element) })}
      data-detail={element.id}
      {...handlers}
      sx={{
        position: "absolute",
        left: (left + middle[0]! - width / 2 + by[0]) * perMm,
        top: (top + middle[1]! - height / 2 + by[1]) * perMm,
        width: width * perMm,
        height: height * perMm,
        minWidth: 12,
        minHeight: 12,
        cursor: "move",
        outline: "2px dashed",
        outlineColor: "primary.main",
        bgcolor: dragging ? "rgba(31, 111, 120, 0.18)" : "transparent",
        touchAction: "none",
      }}
    />
  );
}
