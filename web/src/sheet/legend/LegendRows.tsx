import DownIcon from "@mui/icons-material/ArrowDownwardOutlined";
import UpIcon from "@mui/icons-material/ArrowUpwardOutlined";
import { Box, Button, IconButton, Menu, MenuItem } from "@mui/material";
import { useState } from "react";
import type { ElementOf, LegendRow } from "../../api/types";
import { toldElsewhere } from "../../api/toldElsewhere";
import { Heading } from "../../frame/Card";
import { legendRows } from "../../generated/kinds";
import { Swatch } from "../../symbols/Swatch";
import { accepted, inserted, moved, type RowShown } from "./rows";
import { RowFields } from "./RowFields";
import { usePickedRow, type LegendShown } from "./useLegend";
import { t } from "../../texts/t";
import { rich } from "../../texts/rich";

const STATES: Record<RowShown["state"], string | null> = {
  here: null,
  elsewhere: t("not on this sheet"),
  hidden: "hidden",
  gone: t("no longer on the map"),
  overfull: t("does not fit"),
};

interface LegendRowsProps {
  element: ElementOf<"legend">;
  legend: LegendShown;
  onSave: (rows: LegendRow[] | undefined, label: string) => Promise<unknown>;
}

/** All rows of a legend in their order; one at a time is open to be edited. */
export function LegendRows({ element, legend, onSave }: LegendRowsProps) {
  const rows = legend.rows;
  const { picked, pick, pickPut } = usePickedRow(rows);
  const fresh = rows.filter((row) => row.fresh).length;
  const move = (from: number, before: number) => {
    pick(null);
    void onSave(moved(rows, from, before), "Order of the legend").catch(toldElsewhere);
  };
  return (
    <>
      <Box sx={{ display: "flex", alignItems: "baseline", justifyContent: "space-between" }}>
        <Heading text={t("Rows")} />
        <AddRow legend={legend} onAdd={(row) => add(row)} />
      </Box>
      {fresh > 0 && (
        <Box role="note" sx={{ fontSize: 13, mb: 0.5 }}>
          {rich(t("<1/> since you arranged the legend.<2/>"), {
            1: fresh === 1 ? t("1 entry was added to the map") : t("%{fresh} entries were added to the map", { fresh }),
            2: (
              <Button onClick={() => void onSave(accepted(rows), "New rows of the legend").catch(toldElsewhere)}>
                {rich(t("Keep <1/> here"), { 1: fresh === 1 ? t("it") : t("them") })}
              </Button>
            ),
          })}
        </Box>
      )}
      <Box component="ol" aria-label={t("Rows of the legend")} sx={{ m: 0, p: 0, listStyle: "none" }}>
        {rows.map((shown, index) => (
          <Box component="li" key={index} sx={{ borderBottom: 1, borderColor: "divider" }}>
            <Box sx={{ display: "flex", alignItems: "center", gap: 0.5 }}>
              {shown.swatch ? <Swatch svg={shown.swatch} /> : <Box sx={{ width: 30, flexShrink: 0 }} />}
              <Button
                aria-expanded={picked === index}
                onClick={() => pick(picked === index ? null : index)}
                sx={{
                  flex: 1,
                  minWidth: 0,
                  justifyContent: "flex-start",
                  textAlign: "left",
                  color: "text.primary",
                  fontWeight: shown.row.kind === "heading" ? 700 : 400,
                  fontStyle: shown.row.kind === "note" ? "italic" : undefined,
                  px: 0.5,
                  py: 0.25,
                  overflowWrap: "anywhere",
                }}
              >
                <span>
                  <Box component="span" sx={{ mr: 0.75 }}>
                    {shown.name}
                  </Box>
                  <Marks shown={shown} />
                </span>
              </Button>
              <IconButton
                size="small"
                sx={{ p: 0.25 }}
                disabled={index === 0}
                aria-label={t("Move %{name} up", { name: shown.name })}
                onClick={() => move(index, index - 1)}
              >
                <UpIcon sx={{ fontSize: 16 }} />
              </IconButton>
              <IconButton
                size="small"
                sx={{ p: 0.25 }}
                disabled={index === rows.length - 1}
                aria-label={t("Move %{name} down", { name: shown.name })}
                onClick={() => move(index, index + 2)}
              >
                <DownIcon sx={{ fontSize: 16 }} />
              </IconButton>
            </Box>
            {picked === index && <RowFields rows={rows} index={index} onSave={onSave} onPick={pick} />}
          </Box>
        ))}
      </Box>
      {element.rows && (
        <Button
          sx={{ mt: 0.5 }}
          onClick={() => {
            pick(null);
            void onSave(undefined, "Legend as the map has it").catch(toldElsewhere);
          }}
        >
          {t("Reset all rows")}
        </Button>
      )}
    </>
  );

  // Above the row that is open, else at the end.
  function add(row: LegendRow) {
    const before = picked ?? rows.length;
    return onSave(inserted(rows, before, row), "Row of the legend").then(() => pickPut(before, row));
  }
}

function Marks({ shown }: { shown: RowShown }) {
  const words = [shown.fresh ? "new" : null, STATES[shown.state]].filter((word) => word !== null);
  const own = shown.row.kind === "entry" && shown.row.title !== undefined && shown.on_map.length > 0;
  return (
    <Box component="span" sx={{ color: "text.secondary", fontSize: 12, fontStyle: "normal", display: "inline-block" }}>
      {[own ? t("on the map “%{value}”", { value: shown.on_map.join(", ") }) : null, ...words]
        .filter(Boolean)
        .join(" · ")}
    </Box>
  );
}

const START: Record<string, LegendRow> = {
  heading: { kind: "heading", title: t("Heading") },
  note: { kind: "note", text: t("Data of {{ book.date }}.") },
  own: {
    kind: "own",
    title: t("Own entry"),
    shape: "area",
    symbol: { fill: { colour: "#e8dfc4" }, strokes: [{ colour: "#1f2a30", width_mm: 0.2 }] },
  },
  grid: { kind: "grid" },
};

// Rows that no data stand behind; of a legend by hand, also those of the map that it does not list.
function AddRow({ legend, onAdd }: { legend: LegendShown; onAdd: (row: LegendRow) => Promise<unknown> }) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const add = (row: LegendRow) => {
    setAnchor(null);
    void onAdd(row).catch(toldElsewhere);
  };
  return (
    <>
      <Button aria-haspopup="menu" onClick={(event) => setAnchor(event.currentTarget)}>
        {t("Add a row")}
      </Button>
      <Menu
        open={!!anchor}
        anchorEl={anchor}
        onClose={() => setAnchor(null)}
        slotProps={{ list: { dense: true, "aria-label": t("Rows to add") }, paper: { sx: { maxHeight: 420 } } }}
      >
        {legendRows
          .filter(([kind]) => START[kind])
          .map(([kind, title]) => (
            <MenuItem key={kind} onClick={() => add(START[kind]!)}>
              {title}
            </MenuItem>
          ))}
        {legend.addable.map(({ key, title, layer }) => (
          <MenuItem key={key} onClick={() => add({ kind: "entry", of: [key] })}>
            {title}
            <Box component="span" sx={{ color: "text.secondary", fontSize: 12.5, ml: 1 }}>
              {layer}
            </Box>
          </MenuItem>
        ))}
      </Menu>
    </>
  );
}
