import { Box } from "@mui/material";
import { useEffect, useRef, useState } from "react";
import { useBook, useChange } from "../../api/book";
import type { Element, GriddedElement } from "../../api/types";
import { toldElsewhere } from "../../api/toldElsewhere";
import { nextScales } from "../../fields/nextScales";
import { shifted } from "../boxes";
import { isGridded } from "../kinds";
import { useLayout } from "../layout";
import { titleOf } from "../useElements";
import { useSheet } from "../../frame/useSheet";
import { FrameHint } from "./FrameHint";
import { extentOf, groundWay, movedExtent, rescaledExtent } from "./moving";
import { useDragged } from "./useDragged";
import { useFrames, type FramePlace } from "./useFrames";
import { onScreen } from "../onScreen";
import { t } from "../../texts/t";

const isTyping = (event: KeyboardEvent) =>
  event.target instanceof HTMLElement && !!event.target.closest("input, textarea, select, button, [role=combobox]");

interface GroundOnPageProps {
  perMm: number;
  // The frame that is selected, if it is one.
  selected: GriddedElement | null;
  onPick: (id: string) => void;
  onSave: (id: string, patch: Partial<Element>, label: string) => Promise<unknown>;
}

/** The ground of a frame is moved in it: with Space held, or after a double click, until Escape or another click. */
export function GroundOnPage({ perMm, selected, onPick, onSave }: GroundOnPageProps) {
  const { layout, frame, shift, role } = useLayout();
  const { ask } = useChange();
  const { cell } = useSheet();
  const book = useBook();
  const { places } = useFrames();
  const [held, setHeld] = useState(false);
  const [entered, setEntered] = useState<string | null>(null);
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
      const { larger, smaller } = nextScales(place.scale);
      const scale = by > 0 ? larger : smaller;
      if (scale) void rescaled(selected, place, scale).catch(toldElsewhere);
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
    await onSave(
      element.id,
      { extent: rescaledExtent(extentOf(element), known.scale, scale) } as Partial<Element>,
      `Scale of ${titleOf(element)}`,
    );
  };
  const moved = async (element: GriddedElement, known: FramePlace, way: [number, number]) => {
    if (element.kind === "map_frame") {
      const [dx, dy] = groundWay(known, way);
      if (cell && role === "sheets") await ask("cells", { do: "move", cells: [cell.id], dx, dy });
      return;
    }
    const extent = extentOf(element);
    const fresh = movedExtent(extent, known, way);
    const label = `Ground of ${titleOf(element)}`;
    await onSave(
      element.id,
      { extent: fresh } as Partial<Element>,
      fresh.kind === extent.kind ? label : `${label}, now a fixed place`,
    );
  };
  const { by, dragging, handlers } = useDragged(perMm, async (way) => {
    if (selected && place) await moved(selected, place, way);
  });
  const active = selected && place && !place.globe && !selected.locked && (held || entered === selected.id || dragging);
  if (!active) return null;
  const [left, top, width, height] = shifted(frame.elements[selected.id]!, shift, 0);
  return (
    <>
      <Box
        role="group"
        aria-label={t("Drag the ground of %{selected}", { selected: titleOf(selected) })}
        data-ground={selected.id}
        {...handlers}
        sx={{
          ...onScreen([left, top, width, height], perMm),
          cursor: dragging ? "grabbing" : "grab",
          outline: "2px dashed",
          outlineColor: "primary.main",
          touchAction: "none",
          overflow: "hidden",
        }}
      >
        {dragging && (
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
      <FrameHint left={left * perMm} top={top * perMm}>
        {selected.kind === "map_frame"
          ? t("Drag to move the ground of sheet %{value}: its cell moves (%{length} in all)", {
              value: cell?.name ?? "",
              length: book.cells.length,
            })
          : t("Drag to move the ground; Escape when done")}
      </FrameHint>
    </>
  );
}
