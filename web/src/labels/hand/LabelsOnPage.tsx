import { Box } from "@mui/material";
import { useRef, useState, type KeyboardEvent, type PointerEvent } from "react";
import { arrowWay } from "../../page/arrowWay";
import { keyOf, type Labels, type PlacedLabel } from "./useLabels";
import { toldElsewhere } from "../../api/toldElsewhere";
import { t } from "../../texts/t";

interface LabelsOnPageProps {
  labels: Labels;
  perMm: number;
  width: number;
  height: number;
  picked: string | null;
  onPick: (key: string | null) => void;
}

// So far in px is no drag.
const STILL_PX = 3;

/** Marks over the labels of a page: which are by hand, which have no room; each can be clicked and dragged. */
export function LabelsOnPage({ labels, perMm, width, height, picked, onPick }: LabelsOnPageProps) {
  const { edit, placed } = labels;
  const data = labels.labels;
  const [way, setWay] = useState<[number, number] | null>(null);
  const from = useRef<{ x: number; y: number; label: PlacedLabel } | null>(null);
  if (!data) return null;
  const move = (label: PlacedLabel, dx: number, dy: number) =>
    void edit(label, placed(label, [label.middle[0] + dx, label.middle[1] + dy]), "Move the label").catch(
      () => undefined,
    );
  const down = (event: PointerEvent<SVGGElement>, label: PlacedLabel) => {
    event.stopPropagation();
    event.currentTarget.setPointerCapture(event.pointerId);
    onPick(keyOf(label));
    from.current = { x: event.clientX, y: event.clientY, label };
  };
  const moved = (event: PointerEvent): [number, number] => [
    event.clientX - from.current!.x,
    event.clientY - from.current!.y,
  ];
  const drag = (event: PointerEvent) => {
    if (!from.current) return;
    const [x, y] = moved(event);
    if (way || Math.hypot(x, y) > STILL_PX) setWay([x / perMm, y / perMm]);
  };
  const up = (event: PointerEvent) => {
    const started = from.current;
    if (!started) return;
    const [x, y] = moved(event);
    from.current = null;
    setWay(null);
    if (Math.hypot(x, y) > STILL_PX) move(started.label, x / perMm, y / perMm);
  };
  const press = (event: KeyboardEvent, label: PlacedLabel) => {
    const way = arrowWay(event);
    if (way) move(label, ...way);
    else if (event.key === "Delete") {
      event.stopPropagation();
      void edit(label, { hidden: true }, "Hide the label").catch(toldElsewhere);
    } else if (event.key === "Escape") onPick(null);
    else if (event.key === "Enter" || event.key === " ") {
      event.preventDefault();
      onPick(keyOf(label));
    }
  };
  return (
    <Box
      component="svg"
      aria-label={t("Labels of the page")}
      role="group"
      viewBox={`0 0 ${width} ${height}`}
      sx={{ position: "absolute", inset: 0, width: "100%", height: "100%", pointerEvents: "none" }}
    >
      {data.placed.map((label) => {
        const key = keyOf(label);
        const chosen = picked === key;
        return (
          <Box
            component="g"
            key={key}
            role="button"
            tabIndex={0}
            aria-pressed={chosen}
            aria-label={t("Label %{text}%{value}", { text: label.text, value: label.by_hand ? t(", by hand") : "" })}
            data-label={label.text}
            transform={chosen && way ? `translate(${way[0]} ${way[1]})` : undefined}
            onPointerDown={(event) => down(event, label)}
            onPointerMove={drag}
            onPointerUp={up}
            onKeyDown={(event) => press(event, label)}
            sx={{
              pointerEvents: "auto",
              cursor: chosen ? "move" : "pointer",
              outline: "none",
              touchAction: "none",
              "& polygon": {
                fill: "transparent",
                stroke: "transparent",
                strokeWidth: 1 / perMm,
                ...(chosen && { stroke: "#1f6f78", fill: "#1f6f78", fillOpacity: 0.15 }),
              },
              "&:hover polygon, &:focus-visible polygon": { stroke: "#1f6f78" },
            }}
          >
            {label.rings.map((ring, index) => (
              <polygon key={index} points={ring.join(" ")} />
            ))}
            {label.by_hand && (
              <circle
                cx={label.middle[0]}
                cy={label.middle[1] - 2.2}
                r={3 / perMm}
                fill="#8c2f39"
                stroke="#fff"
                strokeWidth={1 / perMm}
              />
            )}
          </Box>
        );
      })}
      {data.unplaced.map((label, index) => (
        <g
          key={index}
          data-unplaced={label.text}
          stroke="#b3261e"
          strokeWidth={2 / perMm}
          style={{ pointerEvents: "auto" }}
        >
          <title>{t("%{layer}: “%{text}” is not placed", { layer: label.layer, text: label.text })}</title>
          <circle cx={label.x} cy={label.y} r={6 / perMm} fill="#fffdf6" fillOpacity={0.8} />
          <path
            d={`M${label.x - 3 / perMm} ${label.y - 3 / perMm}l${6 / perMm} ${6 / perMm}m0 ${-6 / perMm}l${-6 / perMm} ${6 / perMm}`}
            fill="none"
          />
        </g>
      ))}
    </Box>
  );
}
