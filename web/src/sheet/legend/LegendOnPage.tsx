import HideIcon from "@mui/icons-material/VisibilityOffOutlined";
import { Box, IconButton, Paper } from "@mui/material";
import { useRef, useState, type PointerEvent } from "react";
import type { ElementOf, LegendRow, Rectangle } from "../../api/types";
import { toldElsewhere } from "../../api/toldElsewhere";
import { Tag } from "../../page/Tag";
import { Field } from "../../fields/Field";
import { changed, moved, placeAt, titled, type RowShown } from "./rows";
import { demandFresh, useLegend, usePickedRow } from "./useLegend";
import { t } from "../../texts/t";

// From how many pixels on a press is a drag.
const SLACK = 4;
const NONE: RowShown[] = [];
// Of the field beside a row, in pixels.
const WIDTH = 270,
  APART = 10;

interface LegendOnPageProps {
  element: ElementOf<"legend">;
  perMm: number;
  onSave: (rows: LegendRow[], label: string) => Promise<unknown>;
}

/**
 * The rows of the selected legend on the page: click one to write its title, drag it to another place. (By keyboard the
 * rows of the card do the same.)
 */
export function LegendOnPage({ element, perMm, onSave: save }: LegendOnPageProps) {
  const legend = useLegend(element.id);
  const onSave = async (rows: LegendRow[], label: string) => {
    demandFresh(legend);
    return save(rows, label);
  };
  const surface = useRef<HTMLDivElement>(null);
  const drag = useRef<{ index: number; x: number; y: number; far: boolean } | null>(null);
  const [target, setTarget] = useState<{ index: number; before: number } | null>(null);
  const rows = legend.data?.rows ?? NONE;
  const { picked, beside, pick } = usePickedRow(rows);
  if (!legend.data || element.continues) return null;
  const at = (event: PointerEvent): [number, number] => {
    const area = surface.current!.getBoundingClientRect();
    return [(event.clientX - area.left) / perMm, (event.clientY - area.top) / perMm];
  };
  const press = (event: PointerEvent, index: number) => {
    if (event.button !== 0) return;
    event.stopPropagation();
    (event.currentTarget as HTMLElement).setPointerCapture(event.pointerId);
    drag.current = { index, x: event.clientX, y: event.clientY, far: false };
  };
  const move = (event: PointerEvent) => {
    const held = drag.current;
    if (!held) return;
    event.stopPropagation();
    if (!held.far && Math.hypot(event.clientX - held.x, event.clientY - held.y) < SLACK) return;
    held.far = true;
    const before = placeAt(rows, ...at(event));
    if (before !== null) setTarget({ index: held.index, before });
  };
  const release = (event: PointerEvent) => {
    const held = drag.current;
    drag.current = null;
    setTarget(null);
    if (!held) return;
    event.stopPropagation();
    if (!held.far) return pick(held.index, true);
    const before = placeAt(rows, ...at(event));
    if (before === null || before === held.index || before === held.index + 1) return;
    void onSave(moved(rows, held.index, before), "Order of the legend").catch(toldElsewhere);
  };
  const line = target && lineOf(rows, target.before);
  return (
    <Box ref={surface} sx={{ position: "absolute", inset: 0, pointerEvents: "none" }}>
      {rows.map(
        (shown, index) =>
          shown.box && (
            <Box
              key={index}
              data-legend-row={shown.name}
              data-picked={picked === index || undefined}
              onPointerDown={(event) => press(event, index)}
              onPointerMove={move}
              onPointerUp={release}
              onPointerCancel={() => {
                drag.current = null;
                setTarget(null);
              }}
              sx={{
                position: "absolute",
                left: shown.box[0] * perMm,
                top: shown.box[1] * perMm,
                width: shown.box[2] * perMm,
                height: shown.box[3] * perMm,
                pointerEvents: "auto",
                cursor: "text",
                opacity: target?.index === index ? 0.5 : 1,
                outline: picked === index ? "2px solid #1f6f78" : "none",
                bgcolor: shown.fresh ? "#c98a1b26" : undefined,
                "&:hover": { outline: "1px solid #1f6f78" },
              }}
            >
              {shown.fresh && <Tag sx={{ right: 0, top: 0 }}>{t("new")}</Tag>}
            </Box>
          ),
      )}
      {line && (
        <Box
          sx={{
            position: "absolute",
            left: line[0] * perMm,
            top: line[1] * perMm - 1,
            width: line[2] * perMm,
            height: "2px",
            bgcolor: "#8c2f39",
          }}
        />
      )}
      {picked !== null && beside && rows[picked]?.box && (
        <TitleBeside
          key={picked}
          rows={rows}
          index={picked}
          perMm={perMm}
          onSave={onSave}
          onPick={(row) => pick(row, true)}
        />
      )}
    </Box>
  );
}

// Where a row that is let go would come in.
function lineOf(rows: RowShown[], before: number): Rectangle | null {
  const below = rows[before]?.box;
  if (below) return [below[0], below[1], below[2], 0];
  const above = rows
    .slice(0, before)
    .reverse()
    .find((row) => row.box)?.box;
  return above ? [above[0], above[1] + above[3], above[2], 0] : null;
}

// A row's words in a field beside it. Enter saves, Tab goes on to the next row, Escape gives up.
function TitleBeside({
  rows,
  index,
  perMm,
  onSave,
  onPick,
}: {
  rows: RowShown[];
  index: number;
  perMm: number;
  onSave: (rows: LegendRow[], label: string) => Promise<unknown>;
  onPick: (row: number | null) => void;
}) {
  const { row, name, box, on_map } = rows[index]!;
  const standing = rows.map((shown, place) => (shown.box ? place : -1)).filter((place) => place >= 0);
  const next = standing[standing.indexOf(index) + 1];
  const [left, top, width, height] = box!;
  // Enter closes it once the words are saved.
  const closing = useRef(false);
  return (
    <Paper
      elevation={4}
      onPointerDown={(event) => event.stopPropagation()}
      onKeyDown={(event) => {
        event.stopPropagation();
        const field = event.target as HTMLInputElement;
        if (event.key === "Escape") onPick(null);
        if (event.key === "Enter") {
          if (field.value === name) onPick(null);
          else closing.current = true;
        }
        if (event.key === "Tab" && !event.shiftKey && next !== undefined) {
          event.preventDefault();
          field.blur();
          onPick(next);
        }
      }}
      sx={{
        position: "absolute",
        ...(left * perMm > WIDTH + APART
          ? { left: left * perMm - WIDTH - APART, top: (top + height / 2) * perMm - 30 }
          : { left: (left + width) * perMm + APART, top: (top + height / 2) * perMm - 30 }),
        width: WIDTH,
        p: 0.75,
        pointerEvents: "auto",
        display: "flex",
        alignItems: "flex-end",
        gap: 0.5,
        zIndex: 3,
      }}
    >
      <Field
        label={row.kind === "note" ? t("Note") : t("Title in this legend")}
        value={name}
        placeholder={on_map.join(", ") || undefined}
        focused
        onSave={async (text) => {
          await onSave(changed(rows, index, titled(row, text, on_map)), "Title in the legend");
          if (closing.current) onPick(null);
        }}
      />
      {row.kind === "entry" && (
        <IconButton
          size="small"
          aria-label={t("Hide %{name} in the legend", { name })}
          onClick={() => {
            onPick(null);
            void onSave(changed(rows, index, { ...row, hidden: true }), "Hide in the legend").catch(toldElsewhere);
          }}
        >
          <HideIcon sx={{ fontSize: 18 }} />
        </IconButton>
      )}
    </Paper>
  );
}
