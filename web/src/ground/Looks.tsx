import { Box, Button, MenuItem, TextField } from "@mui/material";
import { useState } from "react";
import { useBook, useChange } from "../api/book";
import type { Layer, MapLook } from "../api/types";
import { Field } from "../fields/Field";

const shows = (look: MapLook, layers: Layer[]) =>
  layers.every((layer) => {
    const entry = look.layers.find((known) => known.id === layer.id);
    return (
      layer.visible === (entry !== undefined) &&
      (!entry || entry.opacity === undefined || (layer.opacity ?? 1) === entry.opacity)
    );
  });

// Which layers the maps show, under names: one is chosen, or the present one is saved.
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
        return { ...layer, visible: !!entry, ...(entry?.opacity === undefined ? {} : { opacity: entry.opacity }) };
      }),
    }).catch(() => undefined);
  };
  const save = async (text: string) => {
    const title = text.trim();
    if (title === "") return setNaming(false);
    const fresh: MapLook = {
      title,
      layers: layers
        .filter((layer) => layer.visible)
        .map((layer) => (layer.opacity === undefined ? { id: layer.id } : { id: layer.id, opacity: layer.opacity })),
    };
    await change(`Save the look ${title}`, { looks: [...looks.filter((known) => known.title !== title), fresh] });
    setNaming(false);
  };
  return (
    <Box sx={{ display: "flex", gap: 1, mb: 1, alignItems: "flex-start" }}>
      {naming ? (
        <Field label="Name of the look" value="" onKeep={save} />
      ) : (
        <TextField
          select
          fullWidth
          label="Look"
          value={present?.title ?? ""}
          onChange={(event) => use(event.target.value)}
          slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
        >
          <MenuItem value="" disabled>
            as chosen below
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
          Save
        </Button>
      )}
      {!naming && present && (
        <Button
          color="inherit"
          onClick={() =>
            void change(`Delete the look ${present.title}`, {
              looks: looks.filter((known) => known !== present),
            }).catch(() => undefined)
          }
        >
          Delete
        </Button>
      )}
    </Box>
  );
}
