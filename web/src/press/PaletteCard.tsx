import { Box, Button, IconButton } from "@mui/material";
import RemoveIcon from "@mui/icons-material/DeleteOutlined";
import { useQueryClient } from "@tanstack/react-query";
import { useRef, useState } from "react";
import { useBook, useChange } from "../api/book";
import type { BookDocument, Ink } from "../api/types";
import { upload } from "../api/client";
import { toldElsewhere } from "../api/toldElsewhere";
import { Choice } from "../fields/Choice";
import { Field } from "../fields/Field";
import { FileInput } from "../fields/FileInput";
import { Flag } from "../fields/Flag";
import { Measured } from "../fields/Measured";
import { Card } from "../frame/Card";
import { defaults } from "../generated/defaults";
import { pressProfiles } from "../generated/kinds";
import { whole } from "./order";
import type { OrderDraft } from "./useOrder";
import { limits } from "../generated/limits";
import { t } from "../texts/t";

const PROCESS = [t("Cyan, %"), t("Magenta, %"), t("Yellow, %"), t("Black, %")] as const;

/** The book's palette: what files for the press carry in place of colours of the screen. */
export function PaletteCard({ draft }: { draft: OrderDraft }) {
  const book = useBook();
  const { ask } = useChange();
  const client = useQueryClient();
  const { form } = whole(draft.order);
  const profile = ("pdf" in form && form.pdf?.profile) || defaults.pdf_manner.profile;
  const profiles = [...pressProfiles, ...(book.document.profiles ?? []).map(({ id, title }) => [id, title] as const)];
  const file = useRef<HTMLInputElement>(null);
  const choose = (id: string) => draft.changeForm({ pdf: { ...("pdf" in form ? form.pdf : {}), profile: id } });
  const inks = book.document.palette ?? [];
  const colours = coloursOf(book.document).filter((colour) => !inks.some((ink) => ink.colour === colour));
  const [problem, setProblem] = useState<string | null>(null);
  const put = async (body: unknown) => {
    try {
      await ask("palette", { profile, ...(body as object) });
      setProblem(null);
    } catch (error) {
      setProblem((error as Error).message);
      throw error;
    }
  };
  return (
    <Card help="palette" title={t("Palette")}>
      <Box sx={{ fontSize: 12.5, color: "text.secondary", mb: 1.5 }}>
        {t(
          "Files in CMYK carry these values; all other colours are converted by the profile. The screen shows what the profile makes of them.",
        )}
      </Box>
      <Choice label={t("Profile of the press")} value={profile} choices={profiles} onChoose={choose} />
      <Button onClick={() => file.current?.click()} sx={{ mb: 1 }}>
        {t("Import a profile")}
      </Button>
      <FileInput
        ref={file}
        label={t("Profile file")}
        accept=".icc,.icm"
        onFiles={([chosen]) => {
          if (!chosen) return;
          upload<{ id: string }>(`/api/books/${book.id}/profiles`, chosen)
            .then(async ({ id }) => {
              await client.invalidateQueries({ queryKey: ["book", book.id] });
              setProblem(null);
              await choose(id);
            })
            .catch((error: Error) => setProblem(error.message));
        }}
      />
      {problem && (
        <Box role="alert" sx={{ color: "error.main", fontSize: 13, mb: 1 }}>
          {problem}
        </Box>
      )}
      {inks.map((ink) => (
        <InkFields key={ink.colour} ink={ink} onPut={(fresh) => put({ colour: ink.colour, ink: fresh })} />
      ))}
      {colours.length > 0 && (
        <Box
          role="group"
          aria-label={t("Colours of the book")}
          sx={{ display: "flex", flexWrap: "wrap", gap: 0.75, mt: 1 }}
        >
          <Box sx={{ width: "100%", fontSize: 12.5, color: "text.secondary" }}>
            {t("Add a colour that the book draws in:")}
          </Box>
          {colours.map((colour) => (
            <Button
              key={colour}
              variant="outlined"
              aria-label={t("Add %{colour} to the palette", { colour })}
              onClick={() => void put({ colour }).catch(toldElsewhere)}
              sx={{ minWidth: 0, width: 30, height: 26, p: 0, bgcolor: colour, "&:hover": { bgcolor: colour } }}
            />
          ))}
        </Box>
      )}
    </Card>
  );
}

// The colours that the book draws in, each once.
function coloursOf({ layers, markers, layout, index_layout, pages, looks }: BookDocument): string[] {
  const found = JSON.stringify([layers, markers, layout, index_layout, pages, looks]).match(/"#[0-9a-fA-F]{6}"/g) ?? [];
  return [...new Set(found.map((text) => text.slice(1, -1).toLowerCase()))].sort();
}

function InkFields({ ink, onPut }: { ink: Ink; onPut: (ink: Ink | null) => Promise<unknown> }) {
  return (
    <Box role="group" aria-label={ink.name} sx={{ borderBottom: 1, borderColor: "divider", pb: 1, mb: 1 }}>
      <Box sx={{ display: "flex", gap: 1, alignItems: "center" }}>
        <Box
          sx={{ width: 26, height: 26, bgcolor: ink.colour, border: 1, borderColor: "divider", flexShrink: 0 }}
          title={ink.colour}
        />
        <Field label={t("Name")} value={ink.name} onSave={(name) => onPut({ ...ink, name })} />
        <IconButton
          size="small"
          aria-label={t("Remove %{name}", { name: ink.name })}
          onClick={() => void onPut(null).catch(toldElsewhere)}
        >
          <RemoveIcon fontSize="small" />
        </IconButton>
      </Box>
      <Box sx={{ display: "grid", gridTemplateColumns: "repeat(4, minmax(0, 1fr))", gap: 0.75, mt: 1 }}>
        {PROCESS.map((label, place) => (
          <Measured
            key={label}
            label={label}
            value={ink.cmyk[place]!}
            limits={limits.ink.cmyk}
            onSave={(value) => onPut({ ...ink, cmyk: ink.cmyk.map((old, at) => (at === place ? value : old)) })}
          />
        ))}
      </Box>
      <Flag label={t("Spot colour")} value={ink.spot ?? false} onSave={(spot) => onPut({ ...ink, spot })} />
      <Flag
        label={t("Overprints")}
        value={ink.overprint ?? false}
        onSave={(overprint) => onPut({ ...ink, overprint })}
      />
    </Box>
  );
}
