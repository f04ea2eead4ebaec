import { Box, Button, Checkbox } from "@mui/material";
import { useBook, useChange } from "../api/book";
import { count } from "../api/words";
import { toldElsewhere } from "../api/toldElsewhere";
import { layerFormats } from "../generated/kinds";
import { t } from "../texts/t";
import { rich } from "../texts/rich";

/** The notes among the layers: shown or not, and out as any other. */
export function NotesRow() {
  const book = useBook();
  const { change } = useChange();
  const notes = book.document.notes;
  if (!notes?.list?.length) return null;
  const visible = notes.visible ?? true;
  const title = notes.title ?? "Notes";
  return (
    <Box sx={{ borderBottom: 1, borderColor: "divider", pb: 0.5 }}>
      <Box sx={{ display: "flex", alignItems: "center", gap: 0.5, fontSize: 14 }}>
        <Checkbox
          size="small"
          sx={{ p: 0.5 }}
          checked={visible}
          onChange={() =>
            void change(`${visible ? "Hide" : "Show"} ${title}`, {
              notes: { ...notes, visible: visible ? false : undefined },
            } as never).catch(toldElsewhere)
          }
          slotProps={{ input: { "aria-label": t("Show %{title}", { title }) } }}
        />
        {title}
        <Box component="span" sx={{ color: "text.secondary", fontSize: 12.5 }}>
          {rich(t("<1/>, above all layers"), { 1: count(notes.list.length, "note") })}
        </Box>
      </Box>
      <Box sx={{ fontSize: 12.5, color: "text.secondary", pl: 1 }}>
        {rich(t("Export as <1/>"), {
          1: layerFormats.map(([format, formatTitle]) => (
            <Button
              key={format}
              sx={{ py: 0, px: 0.5, minHeight: 24 }}
              href={`/api/books/${book.id}/notes/file?format=${format}`}
            >
              {formatTitle}
            </Button>
          )),
        })}
      </Box>
    </Box>
  );
}
