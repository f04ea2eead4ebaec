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

/**
 * Which sheets: all, the one that is looked at, those selected on Weave, or typed; of these, those that meet a
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
  const everything = withPages ? "all pages" : withIndex ? "all sheets with the index sheet" : "all sheets";
  const shown = `${all ? everything : `sheets ${sheets}`}${order.where ? " that meet a condition" : ""}`;
  const selected = useMemo(
    () =>
      book.cells.filter((known) => known === cell || also.includes(known.number)).map((known) => quoted(known.name)),
    [book.cells, cell, also],
  );
  return (
    <Value label="Which sheets" shown={shown} onOpen={() => setText(sheets)}>
      {(close) => {
        const keep = (range: string) => {
          void change({ sheets: range });
          close();
        };
        return (
          <Box sx={{ px: 2, pb: 1.5, pt: 0.5, width: 360, display: "grid", gap: 1 }}>
            <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1 }}>
              <Button variant="outlined" onClick={() => keep("all")}>
                {withPages ? `All ${count(pageCount(book), "page")}` : `All ${count(book.cells.length, "sheet")}`}
              </Button>
              {cell && (
                <Button variant="outlined" onClick={() => keep(quoted(cell.name))}>
                  This sheet, {cell.name}
                </Button>
              )}
              {selected.length > 1 && (
                <Button variant="outlined" onClick={() => keep(selected.join(", "))}>
                  {count(selected.length, "sheet")} selected on Weave
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
                helperText={`all, or numbers and names such as ${withIndex ? "index, " : ""}${withPages ? "pages, " : ""}1-3, 7, C2`}
                slotProps={{ htmlInput: { "aria-label": "Which sheets", autoComplete: "off" } }}
              />
              <Button type="submit" variant="contained">
                Apply
              </Button>
            </Box>
            <Box sx={{ fontSize: 12.5, color: "text.secondary" }}>Of these, only sheets that meet</Box>
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
      about="the range"
      attributes={attributes}
      condition={order.where}
      onSave={(where) => change({ where })}
    />
  );
}
