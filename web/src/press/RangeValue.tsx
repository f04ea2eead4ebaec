import { Box, Button, TextField } from "@mui/material";
import { useMemo, useState } from "react";
import { useBook } from "../api/book";
import { count } from "../api/words";
import { partsOf } from "../api/area";
import { useAlso } from "../frame/useAlso";
import { pageCount } from "../frame/bookPages";
import { useSheet } from "../frame/useSheet";
import { useAttributes } from "../api/useAttributes";
import { ConditionEditor } from "../fields/ConditionEditor";
import { Value } from "../statement/Value";
import { whole } from "./order";
import type { OrderDraft } from "./useOrder";
import { t } from "../texts/t";
import { rich } from "../texts/rich";

/**
 * Which sheets: all, the one that is looked at, those selected in Weave, or typed; of these, those that meet a
 * condition.
 */
export function RangeValue({ draft }: { draft: OrderDraft }) {
  const book = useBook();
  const { order, change } = draft;
  const { sheets } = whole(order);
  const { cell } = useSheet();
  const { also } = useAlso();
  const [text, setText] = useState(sheets);
  const withIndex = !!book.document.index_layout;
  const all = /^(all)?$/i.test(sheets.trim());
  const withPages = (book.document.pages ?? []).length > 0;
  const everything = withPages ? t("all pages") : withIndex ? t("all sheets with the index sheet") : t("all sheets");
  const shown = `${all ? everything : t("sheets %{sheets}", { sheets })}${order.where ? t(" that meet a condition") : ""}`;
  const selected = useMemo(
    () =>
      book.cells.filter((known) => known === cell || also.includes(known.number)).map((known) => quoted(known.name)),
    [book.cells, cell, also],
  );
  return (
    <Value label={t("Which sheets")} shown={shown} onOpen={() => setText(sheets)}>
      {(close) => {
        const keep = (range: string) => {
          void change({ sheets: range });
          close();
        };
        return (
          <Box sx={{ px: 2, pb: 1.5, pt: 0.5, width: 360, display: "grid", gap: 1 }}>
            <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1 }}>
              <Button variant="outlined" onClick={() => keep("all")}>
                {withPages
                  ? t("All %{value}", { value: count(pageCount(book), "page") })
                  : t("All %{value}", { value: count(book.cells.length, "sheet") })}
              </Button>
              {cell && (
                <Button variant="outlined" onClick={() => keep(quoted(cell.name))}>
                  {rich(t("This sheet, <1/>"), { 1: cell.name })}
                </Button>
              )}
              {selected.length > 1 && (
                <Button variant="outlined" onClick={() => keep(selected.join(", "))}>
                  {rich(t("<1/> selected in Weave"), { 1: count(selected.length, "sheet") })}
                </Button>
              )}
            </Box>
            <Box
              component="form"
              onSubmit={(event) => {
                event.preventDefault();
                keep(text.trim() || "all");
              }}
              sx={{ display: "flex", gap: 1, alignItems: "start" }}
            >
              <TextField
                autoFocus
                fullWidth
                value={text}
                onChange={(event) => setText(event.target.value)}
                onFocus={(event) => event.target.select()}
                helperText={t("all, or numbers and names such as %{value}%{value2}1-3, 7, C2", {
                  value: withIndex ? "index, " : "",
                  value2: withPages ? "pages, " : "",
                })}
                slotProps={{ htmlInput: { "aria-label": t("Which sheets"), autoComplete: "off" } }}
              />
              <Button type="submit" variant="contained">
                {t("Apply")}
              </Button>
            </Box>
            <Box sx={{ fontSize: 12.5, color: "text.secondary" }}>{t("Of these, only sheets that meet")}</Box>
            <SheetCondition draft={draft} />
          </Box>
        );
      }}
    </Value>
  );
}

// A name that stands for itself, also where it looks like a number or a range.
const quoted = (name: string) => (/^[A-Za-z][\w.]*$/.test(name) ? name : `"${name}"`);

const OWN = [
  { name: "sheet.name", type: "text" },
  { name: "sheet.number", type: "integer" },
  { name: "sheet.row", type: "integer" },
  { name: "sheet.column", type: "text" },
  { name: "sheet.scale", type: "real" },
];

function SheetCondition({ draft: { order, change } }: { draft: OrderDraft }) {
  const book = useBook();
  const area = partsOf(book.document.index.area).find((part) => part.layer)?.layer;
  const known = useAttributes(area).data;
  const attributes = useMemo(() => [...OWN, ...(known ?? [])], [known]);
  return (
    <ConditionEditor
      about={t("the range")}
      attributes={attributes}
      condition={order.where}
      onSave={(where) => change({ where })}
    />
  );
}
