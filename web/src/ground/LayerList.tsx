import { Box, Button, Checkbox } from "@mui/material";
import { useRef, useState } from "react";
import { useBook, useChange, useChangeState } from "../api/book";
import type { Layer } from "../api/types";
import { ratio } from "../api/words";
import { readScale } from "../numbers/read";
import { toldElsewhere } from "../api/toldElsewhere";
import { Field } from "../fields/Field";
import { FileInput } from "../fields/FileInput";
import { Card } from "../frame/Card";
import { besideEndings, dataEndings, dataFormats, pixelEndings, pixelFormats } from "../generated/kinds";
import { NotesRow } from "../notes/NotesRow";
import { BookFiles } from "./BookFiles";
import { LayerRow } from "./LayerRow";
import { Looks } from "./Looks";
import { TilesForm } from "./TilesForm";
import type { Arrivals } from "./arrivals";
import { t } from "../texts/t";
import { rich } from "../texts/rich";

/** All layers, the top one first, with their groups as headings. */
export function LayerList({ arrivals, onPick }: { arrivals: Arrivals; onPick: (id: string) => void }) {
  const book = useBook();
  const { change } = useChange();
  const { pending } = useChangeState();
  const input = useRef<HTMLInputElement>(null);
  const [adding, setAdding] = useState(false);
  const [dragged, setDragged] = useState<string | null>(null);
  const layers = book.document.layers;
  // The list shows the top layer first; the document holds the bottom one first.
  const shown = [...layers].reverse();
  const keep = (label: string, fresh: Layer[]) => void change(label, { layers: fresh }).catch(toldElsewhere);
  const reorder = (id: string, to: number) => {
    const from = layers.findIndex((layer) => layer.id === id);
    const place = Math.min(Math.max(to, 0), layers.length - 1);
    if (from === place || from < 0) return;
    const moved = [...layers];
    const [layer] = moved.splice(from, 1);
    moved.splice(place, 0, layer!);
    keep(`Order of ${layer!.title}`, moved);
  };
  const toggle = (id: string) => {
    const layer = layers.find((known) => known.id === id)!;
    keep(
      `${layer.visible ? "Hide" : "Show"} ${layer.title}`,
      layers.map((known) => (known.id === id ? { ...known, visible: !known.visible } : known)),
    );
  };
  const toggleGroup = (group: string, visible: boolean) =>
    keep(
      `${visible ? "Show" : "Hide"} ${group}`,
      layers.map((known) => (known.group === group ? { ...known, visible } : known)),
    );
  return (
    <Card help="layers" title={t("Layers")} note={t("top first")}>
      <FileInput
        ref={input}
        label={t("Data files")}
        accept={[...dataEndings, ...pixelEndings, ...besideEndings].join(",")}
        multiple
        onFiles={(files) => arrivals.take(files)}
      />
      <Button
        variant="outlined"
        fullWidth
        sx={{ mb: 1 }}
        disabled={arrivals.sending}
        onClick={() => input.current?.click()}
      >
        {arrivals.sending ? t("Sending…") : t("Import data")}
      </Button>
      {adding ? (
        <TilesForm onDone={() => setAdding(false)} />
      ) : (
        <Button fullWidth sx={{ mb: 1 }} onClick={() => setAdding(true)}>
          {t("Add background tiles")}
        </Button>
      )}
      <Looks />
      <NotesRow />
      <Box component="ul" sx={{ m: 0, p: 0, listStyle: "none" }}>
        {shown.map((layer, index) => {
          const opens = layer.group && layer.group !== shown[index - 1]?.group;
          const members = layers.filter((known) => known.group === layer.group);
          return (
            <Box component="li" key={layer.id}>
              {opens && (
                <Box sx={{ display: "flex", alignItems: "center", gap: 0.5, pt: 0.75, fontSize: 13, fontWeight: 700 }}>
                  <Checkbox
                    size="small"
                    sx={{ p: 0.5 }}
                    checked={members.every((known) => known.visible)}
                    indeterminate={members.some((known) => known.visible) && !members.every((known) => known.visible)}
                    disabled={pending}
                    onChange={(event) => toggleGroup(layer.group!, event.target.checked)}
                    slotProps={{ input: { "aria-label": t("Show the group %{group}", { group: layer.group }) } }}
                  />
                  {layer.group}
                </Box>
              )}
              <LayerRow
                layer={layer}
                dragged={dragged}
                onDragged={setDragged}
                onReorder={reorder}
                onToggle={toggle}
                onPick={onPick}
              />
            </Box>
          );
        })}
      </Box>
      <Box sx={{ fontSize: 12.5, color: "text.secondary", mt: 1 }}>
        {rich(t("or drop files on the map: <1/>. You see what is in them before anything is saved."), {
          1: [...dataFormats, ...pixelFormats].join(", "),
        })}
      </Box>
      <Box sx={{ mt: 1.5 }}>
        <Field
          label={t("Design scale of all layers")}
          value={book.document.design_scale ? ratio(book.document.design_scale) : ""}
          placeholder={t("fixed on paper")}
          onSave={async (text) => {
            const scale = text.trim() === "" ? null : readScale(text);
            if (text.trim() !== "" && (scale === null || scale <= 0))
              throw new Error(t("Enter a scale, such as 1:2,500."));
            await change("Design scale", { design_scale: scale } as never);
          }}
        />
        <Box sx={{ fontSize: 12.5, color: "text.secondary" }}>
          {t("Symbols and labels then grow and shrink with the ground at other scales.")}
        </Box>
      </Box>
      <BookFiles />
    </Card>
  );
}
