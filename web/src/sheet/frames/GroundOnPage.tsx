import { Box } from "@mui/material";
import { useEffect, useRef, useState, type PointerEvent } from "react";
import { useBook, useChange } from "../../api/book";
import type { Element, FrameExtent, GriddedElement, InsetKind } from "../../api/types";
import { defaults } from "../../generated/defaults";
import { standardScales } from "../../generated/kinds";
import { shifted } from "../boxes";
import { isGridded } from "../kinds";
import { useLayout } from "../layout";
import { titleOf } from "../useElements";
import { useSheet } from "../../frame/useSheet";
import { useFrames, type FramePlace } from "./useFrames";

const round = (value: number) => Math.round(value * 1000) / 1000;

const isTyping = (event: KeyboardEvent) =>
  event.target instanceof HTMLElement && !!event.target.closest("input, textarea, select, button, [role=combobox]");

interface GroundOnPageProps {
  perMm: number;
  // The frame that is selected, if it is one.
  selected: GriddedElement | null;
  onPick: (id: string) => void;
  onKeep: (id: string, patch: Partial<Element>, label: string) => Promise<unknown>;
}

// The ground of a frame is moved in it: with Space held, or after a double click, until Escape or another click.
export function GroundOnPage({ perMm, selected, onPick, onKeep }: GroundOnPageProps) {
  const { layout, frame, shift, role } = useLayout();
  const { ask } = useChange();
  const { cell } = useSheet();
  const book = useBook();
  const { places } = useFrames();
  const [held, setHeld] = useState(false);
  const [entered, setEntered] = useState<string | null>(null);
  const [from, setFrom] = useState<[number, number] | null>(null);
  const [by, setBy] = useState<[number, number]>([0, 0]);
  const id = selected?.id;
  useEffect(() => {
    setEntered((known) => (known !== null && known !== id ? null : known));
  }, [id]);
  useEffect(() => {
    const down = (event: KeyboardEvent) => {
      if (event.key === "Escape") setEntered(null);
      if (event.key !== " " || !id || isTyping(event)) return;
      event.preventDefault();
      setHeld(true);
    };
    const up = (event: KeyboardEvent) => {
      if (event.key === " ") setHeld(false);
    };
    window.addEventListener("keydown", down);
    window.addEventListener("keyup", up);
    return () => {
      window.removeEventListener("keydown", down);
      window.removeEventListener("keyup", up);
    };
  }, [id]);
  // A double click enters the frame under it.
  useEffect(() => {
    const enter = (event: MouseEvent) => {
      // The surface that follows the pointer has the event; what lies under it is asked for.
      const part = document
        .elementsFromPoint(event.clientX, event.clientY)
        .map((found) => found.closest<HTMLElement>("[data-element]"))
        .find((found) => found !== null);
      const found = layout.elements.find((known) => known.id === part?.dataset.element);
      if (!found || !isGridded(found) || found.locked) return;
      onPick(found.id);
      setEntered(found.id);
    };
    window.addEventListener("dblclick", enter);
    return () => window.removeEventListener("dblclick", enter);
  }, [layout, onPick]);
  const place = places.find((known) => known.id === id);
  // By standard scales: > shows the ground larger, < smaller.
  const scaled = useRef<(by: 1 | -1) => void>(() => undefined);
  useEffect(() => {
    scaled.current = (by) => {
      if (!selected || selected.locked || !place || place.globe) return;
      const scale =
        by > 0
          ? standardScales.filter((known) => known < place.scale - 0.5).at(-1)
          : standardScales.find((known) => known > place.scale + 0.5);
      if (scale) void rescaled(selected, place, scale).catch(() => undefined);
    };
  });
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || isTyping(event)) return;
      if (event.key === ">") scaled.current(1);
      else if (event.key === "<") scaled.current(-1);
    };
    window.addEventListener("keydown", press);
    return () => window.removeEventListener("keydown", press);
  }, []);
  const rescaled = async (element: GriddedElement, known: FramePlace, scale: number) => {
    if (element.kind === "map_frame") {
      if (cell && role === "sheets") await ask("cells", { do: "scale", cells: [cell.id], scale });
      return;
    }
    const extent = element.extent ?? (defaults[`${element.kind}_element`].extent as FrameExtent);
    const fresh: FrameExtent =
      extent.kind === "detail"
        ? { ...extent, times: round(((extent.times ?? defaults.detail_extent.times) * known.scale) / scale) }
        : extent.kind === "fixed"
          ? { ...extent, scale }
          : { ...extent, size: "held", scale };
    await onKeep(element.id, { extent: fresh } as Partial<Element>, `Scale of ${titleOf(element)}`);
  };
  const active = selected && place && !place.globe && !selected.locked && (held || entered === selected.id || from);
  if (!active) return null;
  const [left, top, width, height] = shifted(frame.elements[selected.id]!, shift, 0);
  const at = (event: PointerEvent): [number, number] => [event.clientX / perMm, event.clientY / perMm];
  const drop = () => {
    setFrom(null);
    setBy([0, 0]);
    if (Math.hypot(...by) < 0.05) return;
    void moved(selected, place, by).catch(() => undefined);
  };
  // The ground goes with the hand, so that the middle of what is shown goes the other way.
  const moved = async (
    element: GriddedElement,
    { to_ground: map, ...known }: FramePlace,
    [dx, dy]: [number, number],
  ) => {
    const [a, b, c, d] = map;
    const ground: [number, number] = [-(a * dx + c * dy), -(b * dx + d * dy)];
    if (element.kind === "map_frame") {
      if (cell && role === "sheets") await ask("cells", { do: "move", cells: [cell.id], dx: ground[0], dy: ground[1] });
      return;
    }
    const inset: InsetKind = element;
    const extent = inset.extent ?? (defaults[`${inset.kind}_element`].extent as FrameExtent);
    const label = `Ground of ${titleOf(inset)}`;
    if (extent.kind === "detail") {
      const times = extent.times ?? defaults.detail_extent.times;
      const fresh: FrameExtent = extent.at_mm
        ? { ...extent, at_mm: [round(extent.at_mm[0]! - dx / times), round(extent.at_mm[1]! - dy / times)] }
        : { ...extent, at: [round(extent.at![0]! + ground[0]), round(extent.at![1]! + ground[1])] };
      await onKeep(inset.id, { extent: fresh } as Partial<Element>, label);
      return;
    }
    const fixed: FrameExtent = {
      kind: "fixed",
      x: round(known.x + ground[0]),
      y: round(known.y + ground[1]),
      scale: extent.kind === "fixed" ? extent.scale : Math.max(1, Math.round(known.scale)),
      ...(known.rotation_deg !== 0 && { rotation_deg: round(known.rotation_deg) }),
    };
    await onKeep(
      inset.id,
      { extent: fixed } as Partial<Element>,
      extent.kind === "fixed" ? label : `${label}, now a fixed place`,
    );
  };
  return (
    <>
      <Box
        aria-label={`Drag the ground of ${titleOf(selected)}`}
        data-ground={selected.id}
        onPointerDown={(event: PointerEvent) => {
          event.stopPropagation();
          event.currentTarget.setPointerCapture(event.pointerId);
          setFrom(at(event));
        }}
        onPointerMove={(event: PointerEvent) => {
          if (!from) return;
          const [x, y] = at(event);
          setBy([x - from[0], y - from[1]]);
        }}
        onPointerUp={drop}
        sx={{
          position: "absolute",
          left: left * perMm,
          top: top * perMm,
          width: width * perMm,
          height: height * perMm,
          cursor: from ? "grabbing" : "grab",
          outline: "2px dashed",
          outlineColor: "primary.main",
          touchAction: "none",
          overflow: "hidden",
        }}
      >
        {from && (
          <Box
            sx={{
              position: "absolute",
              left: by[0] * perMm,
              top: by[1] * perMm,
              width: "100%",
              height: "100%",
              outline: "2px solid",
              outlineColor: "primary.main",
              bgcolor: "rgba(31, 111, 120, 0.12)",
            }}
          />
        )}
      </Box>
      <Box
        role="status"
        sx={{
          position: "absolute",
          left: left * perMm,
          top: Math.max(top * perMm - 26, 0),
          px: 1,
          fontSize: 12.5,
          bgcolor: "background.paper",
          border: 1,
          borderColor: "primary.main",
          pointerEvents: "none",
        }}
      >
        {selected.kind === "map_frame"
          ? `Drag to move the ground of sheet ${cell?.name ?? ""}: its cell moves (${book.cells.length} in all)`
          : "Drag to move the ground; Escape when done"}
      </Box>
    </>
  );
}
