import { Box } from "@mui/material";
import { useRef, useState, type PointerEvent } from "react";
import type { ElementOf, Rectangle } from "../api/types";
import { toldElsewhere } from "../api/toldElsewhere";
import { arrowWay } from "../page/arrowWay";
import { boxed, onPage, thinned, type Places, type Shares } from "./bends";
import { useDrawnLine } from "./hand";
import { t } from "../texts/t";

// A line drawn by hand stays this near to where the pointer went.
const NEAR_MM = 0.25;

interface LineOnPageProps {
  element: ElementOf<"line">;
  // On this page.
  box: Rectangle;
  perMm: number;
  onSave: (label: string, box: Rectangle, points: Shares) => Promise<unknown>;
}

/** The places of a line on the page, to be dragged; or the page to draw the line on. */
export function LineOnPage({ element, box, perMm, onSave }: LineOnPageProps) {
  const { drawing, setDrawing } = useDrawnLine();
  const surface = useRef<HTMLDivElement>(null);
  const [held, setHeld] = useState<{ places: Places; index: number } | null>(null);
  const [stroke, setStroke] = useState<Places | null>(null);
  const points = element.points as Shares | undefined;
  const places = held?.places ?? (points ? onPage(points, box) : []);
  const at = (event: PointerEvent): [number, number] => {
    const area = surface.current!.getBoundingClientRect();
    return [(event.clientX - area.left) / perMm, (event.clientY - area.top) / perMm];
  };
  const keep = (label: string, list: Places) => {
    const fresh = boxed(list);
    return onSave(label, fresh.box, fresh.points).catch(toldElsewhere);
  };
  const shown = stroke ?? (held ? held.places : null);
  return (
    <Box
      ref={surface}
      aria-label={drawing ? t("Draw the line here") : undefined}
      onPointerDown={(event) => {
        if (!drawing || event.button !== 0) return;
        event.stopPropagation();
        (event.currentTarget as HTMLElement).setPointerCapture(event.pointerId);
        setStroke([at(event)]);
      }}
      onPointerMove={(event) => stroke && setStroke([...stroke, at(event)])}
      onPointerUp={() => {
        if (!stroke) return;
        setStroke(null);
        setDrawing(false);
        const list = thinned(stroke, NEAR_MM);
        if (list.length > 1) void keep("Draw a line", list.slice(0, 1000));
      }}
      sx={{
        position: "absolute",
        inset: 0,
        pointerEvents: drawing ? "auto" : "none",
        cursor: drawing ? "crosshair" : undefined,
        touchAction: "none",
        zIndex: drawing ? 3 : undefined,
      }}
    >
      {shown && (
        <svg style={{ position: "absolute", inset: 0, width: "100%", height: "100%", pointerEvents: "none" }}>
          <polyline
            points={shown.map(([x, y]) => `${x * perMm},${y * perMm}`).join(" ")}
            fill="none"
            stroke="#1f6f78"
            strokeWidth={2}
          />
        </svg>
      )}
      {!drawing &&
        places.map(([x, y], index) => (
          <Box
            key={index}
            role="button"
            tabIndex={0}
            aria-label={t("Place %{value} of the line", { value: index + 1 })}
            onPointerDown={(event) => {
              if (event.button !== 0) return;
              event.stopPropagation();
              event.currentTarget.setPointerCapture(event.pointerId);
              setHeld({ places, index });
            }}
            onPointerMove={(event) =>
              held &&
              setHeld({
                ...held,
                places: held.places.map((known, place) => (place === held.index ? at(event) : known)),
              })
            }
            onPointerUp={(event) => {
              if (!held) return;
              event.stopPropagation();
              const list = held.places;
              void keep("Bend a line", list).then(() => setHeld(null));
            }}
            onPointerCancel={() => setHeld(null)}
            onKeyDown={(event) => {
              const way = arrowWay(event);
              if (!way) return;
              void keep(
                "Bend a line",
                places.map(([px, py], place) => (place === index ? [px + way[0], py + way[1]] : [px, py])),
              );
            }}
            sx={{
              position: "absolute",
              left: x * perMm - 12,
              top: y * perMm - 12,
              width: 24,
              height: 24,
              pointerEvents: "auto",
              cursor: "grab",
              zIndex: 2,
              "&::before": {
                content: '""',
                position: "absolute",
                inset: 6,
                borderRadius: "50%",
                border: "2px solid #1f6f78",
                bgcolor: "#fffdf6",
              },
            }}
          />
        ))}
    </Box>
  );
}
