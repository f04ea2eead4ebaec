import { Box, MenuItem, TextField } from "@mui/material";
import { useQuery } from "@tanstack/react-query";
import { useBook } from "../../api/book";
import { get } from "../../api/client";
import { toldElsewhere } from "../../api/toldElsewhere";
import type { Drawing, ElementOf } from "../../api/types";
import { Colour } from "../../fields/Colour";
import { Field } from "../../fields/Field";
import { Heading } from "../../frame/Card";
import { ImportArtwork } from "../ImportArtwork";
import { whole } from "../kinds";
import type { KindCard } from "./KindCard";
import { t } from "../../texts/t";

/** Which picture or drawing an element shows, how it lies in its box, and what it says to those who do not see it. */
export const PictureCard: KindCard<ElementOf<"picture">> = ({ element, onSave }) => {
  const shown = whole(element);
  const book = useBook();
  const shipped = useQuery({
    queryKey: ["markers"],
    queryFn: ({ signal }) => get<Drawing[]>("/api/markers", signal),
    staleTime: Infinity,
  });
  const drawings = [...(book.document.markers ?? []), ...(shipped.data ?? [])];
  const pictures = book.document.pictures ?? [];
  // A picture of pixels and a drawing take the place of one another.
  const choose = (kind: string, id: string) =>
    onSave(
      kind === "picture"
        ? { picture: id, drawing: undefined, colour: undefined }
        : { drawing: id, picture: undefined, fit: undefined },
    );
  const value = element.picture ? `picture ${element.picture}` : `drawing ${element.drawing}`;
  const known = [
    ...pictures.map((entry) => ({ kind: "picture", ...entry })),
    ...drawings.map((entry) => ({ kind: "drawing", ...entry })),
  ];
  return (
    <>
      <Heading text={t("Picture")} />
      <Box sx={{ display: "grid", gap: 1 }}>
        <Box sx={{ display: "flex", gap: 1, alignItems: "flex-end" }}>
          {!element.picture && (
            <Colour label={t("Colour of the drawing")} value={shown.colour} onSave={(colour) => onSave({ colour })} />
          )}
          <TextField
            select
            fullWidth
            label={t("Shows")}
            value={known.some((entry) => `${entry.kind} ${entry.id}` === value) ? value : ""}
            onChange={(event) =>
              void choose(...(event.target.value.split(" ") as [string, string])).catch(toldElsewhere)
            }
          >
            {known.map((entry) => (
              <MenuItem key={`${entry.kind} ${entry.id}`} value={`${entry.kind} ${entry.id}`}>
                {entry.title}
                <Box component="span" sx={{ color: "text.secondary", fontSize: 12.5, ml: 1 }}>
                  {entry.kind}
                </Box>
              </MenuItem>
            ))}
          </TextField>
        </Box>
        {element.picture && (
          <TextField
            select
            label={t("Fit")}
            value={shown.fit}
            onChange={(event) =>
              void onSave({ fit: event.target.value as ElementOf<"picture">["fit"] }).catch(toldElsewhere)
            }
          >
            <MenuItem value="inside">{t("fit inside, keeping its aspect ratio")}</MenuItem>
            <MenuItem value="fill">{t("fill the box (cropped)")}</MenuItem>
          </TextField>
        )}
        <Field
          label={t("Alternative text, for tagged PDF")}
          value={element.alternative ?? ""}
          onSave={(text) => onSave({ alternative: text.trim() || undefined })}
        />
        <ImportArtwork title={t("Import a picture")} label={t("Your own picture")} onBrought={choose} />
      </Box>
    </>
  );
};
