import { Box } from "@mui/material";
import { useState, type PointerEvent, type RefObject } from "react";
import type { Guides } from "../api/types";
import { Tag } from "./Tag";
import { t } from "../texts/t";

type Axis = "x" | "y";
interface Pulled {
  axis: Axis;
  index: number | null;
  at: number;
  outside: boolean;
}

/**
 * Guides that are pulled out of the rulers, moved, and dropped outside the page to be gone. area: the page on the
 * screen, whose corner is at 0, 0 mm.
 */
export function useGuides(
  area: RefObject<HTMLElement | null>,
  perMm: number,
  length: Record<Axis, number>,
  guides: Guides,
  onSave?: (guides: Guides) => Promise<unknown>,
) {
  const [pulled, setPulled] = useState<Pulled | null>(null);
  const pull = (axis: Axis, index: number | null) => (event: PointerEvent) => {
    if (!onSave || event.button !== 0) return;
    event.stopPropagation();
    event.preventDefault();
    const at = (moved: { clientX: number; clientY: number }): Pulled => {
      const box = area.current!.getBoundingClientRect();
      const mm = (axis === "x" ? moved.clientX - box.left : moved.clientY - box.top) / perMm;
      return { axis, index, at: Math.round(mm * 2) / 2, outside: mm < 0 || mm > length[axis] };
    };
    let last = at(event);
    const move = (moved: globalThis.PointerEvent) => setPulled((last = at(moved)));
    const release = () => {
      window.removeEventListener("pointermove", move);
      window.removeEventListener("pointerup", release);
      setPulled(null);
      const rest = (guides[axis] ?? []).filter((_, place) => place !== index);
      if (last.outside && index === null) return;
      void onSave({ ...guides, [axis]: last.outside ? rest : [...rest, last.at].sort((a, b) => a - b) }).catch(
        () => undefined,
      );
    };
    window.addEventListener("pointermove", move);
    window.addEventListener("pointerup", release);
    setPulled(last);
  };
  return { pulled, pull };
}

const GUIDE = "#2f74a8";

/** The lines over the page; each can be taken hold of. */
export function GuideLines({
  guides,
  pulled,
  pull,
  perMm,
}: {
  guides: Guides;
  pulled: Pulled | null;
  pull: (axis: Axis, index: number | null) => (event: PointerEvent) => void;
  perMm: number;
}) {
  const line = (axis: Axis, at: number, held: boolean) =>
    ({
      position: "absolute",
      bgcolor: GUIDE,
      opacity: held ? 1 : 0.75,
      pointerEvents: "none",
      ...(axis === "x"
        ? { left: at * perMm, top: -16, bottom: -16, width: "1px" }
        : { top: at * perMm, left: -16, right: -16, height: "1px" }),
    }) as const;
  const grip = (axis: Axis, at: number) =>
    ({
      position: "absolute",
      zIndex: 4,
      touchAction: "none",
      ...(axis === "x"
        ? { left: at * perMm - 3, top: -16, height: 16, width: 7, cursor: "col-resize" }
        : { top: at * perMm - 3, left: -16, width: 16, height: 7, cursor: "row-resize" }),
      bgcolor: GUIDE,
    }) as const;
  return (
    <>
      {(["x", "y"] as const).flatMap((axis) =>
        (guides[axis] ?? []).map((at, index) =>
          pulled?.axis === axis && pulled.index === index ? null : (
            <Box key={`${axis}${index}`}>
              <Box sx={line(axis, at, false)} />
              <Box
                data-guide={`${axis} ${at}`}
                title={t("%{at} mm", { at })}
                onPointerDown={pull(axis, index)}
                sx={grip(axis, at)}
              />
            </Box>
          ),
        ),
      )}
      {pulled && (
        <>
          {!pulled.outside && <Box sx={line(pulled.axis, pulled.at, true)} />}
          <Tag
            sx={{
              zIndex: 5,
              ...(pulled.axis === "x"
                ? { left: Math.max(pulled.at, 0) * perMm + 6, top: 4 }
                : { top: Math.max(pulled.at, 0) * perMm + 6, left: 4 }),
            }}
          >
            {pulled.outside ? t("release here to remove the guide") : t("%{pulled} mm", { pulled: pulled.at })}
          </Tag>
        </>
      )}
    </>
  );
}
