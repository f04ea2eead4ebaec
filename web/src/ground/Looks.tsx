import { Box, Button, MenuItem, TextField } from "@mui/material";
import { useState } from "react";
import { useBook, useChange } from "../api/book";
import type { Layer, MapLook } from "../api/types";
import { toldElsewhere } from "../api/toldElsewhere";
import { Field } from "../fields/Field";
import { t } from "../texts/t";

type Entry = MapLook["layers"][number];

const alike = (one: unknown, other: unknown) => JSON.stringify(one ?? null) === JSON.stringify(other ?? null);

const shows = (look: MapLook, layers: Layer[]) =>
  layers.every((layer) => {
    const entry = look.layers.find((known) => known.id === layer.id);
    return (layer.visible ?? true) === (entry !== undefined) && (!entry || alike(used(layer, entry), layer));
  });

// A layer as a look has it.
function used(layer: Layer, entry: Entry): Layer {
  const { opacity, rules, labels, raster } = entry;
  const fresh = {
    ...layer,
    ...(opacity !== undefined && opacity !== (layer.opacity ?? 1) && { opacity }),
    ...(rules && { rules }),
    ...(labels && { labels }),
    ...(raster && { raster }),
  };
  if (labels?.length === 0) delete fresh.labels;
  return fresh;
}

// What a look keeps of a layer: how opaque it is, its symbols and labels.
const kept = ({ id, opacity, rules, labels, raster }: Layer): Entry => ({
  id,
  opacity: opacity ?? 1,
  ...(raster ? { raster } : { rules, labels: labels ?? [] }),
});

/**
 * Which layers the maps show and how, under names: one is chosen, or the present one is saved. Frames of the page can
 * have one each.
 */
export function Looks() {
  const book = useBook();
  const { change } = useChange();
  const [naming, setNaming] = useState(false);
  const looks = book.document.looks ?? [];
  const layers = book.document.layers;
  const present = looks.find((look) => shows(look, layers));
  const use = (title: string) => {
    const look = looks.find((known) => known.title === title);
    if (!look) return;
    void change(`Look ${title}`, {
      layers: layers.map((layer) => {
        const entry = look.layers.find((known) => known.id === layer.id);
        return entry ? { ...used(layer, entry), visible: true } : { ...layer, visible: false };
      }),
    }).catch(toldElsewhere);
  };
  const save = async (text: string) => {
    const title = text.trim();
    if (title === "") return setNaming(false);
    const before = looks.find((known) => known.title === title);
    const fresh: MapLook = {
      ...(before?.id !== undefined && { id: before.id }),
      title,
      layers: layers.filter((layer) => layer.visible ?? true).map(kept),
    };
    await change(`Save the look ${title}`, { looks: [...looks.filter((known) => known.title !== title), fresh] });
    setNaming(false);
  };
  return (
    <Box sx={{ display: "flex", gap: 1, mb: 1, alignItems: "flex-start" }}>
      {naming ? (
        <Field label={t("Name of the look")} value="" onSave={save} />
      ) : (
        <TextField
          select
          fullWidth
          label={t("Look")}
          value={present?.title ?? ""}
          onChange={(event) => use(event.target.value)}
          slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
        >
          <MenuItem value="" disabled>
            {t("as chosen below")}
          </MenuItem>
          {looks.map((look) => (
            <MenuItem key={look.title} value={look.title}>
              {look.title}
            </MenuItem>
          ))}
        </TextField>
      )}
      {!naming && !present && (
        <Button variant="outlined" onClick={() => setNaming(true)}>
          {t("Save")}
        </Button>
      )}
      {!naming && present && (
        <Button
          color="inherit"
          onClick={() =>
            void change(`Delete the look ${present.title}`, {
              looks: looks.filter((known) => known !== present),
            }).catch(toldElsewhere)
          }
        >
          {t("Delete")}
        </Button>
      )}
    </Box>
  );
}
