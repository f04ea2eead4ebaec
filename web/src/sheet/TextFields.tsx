import { Box, Button, Menu, MenuItem } from "@mui/material";
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { useBook } from "../api/book";
import { get } from "../api/client";
import type { ElementOf } from "../api/types";
import { toldElsewhere } from "../api/toldElsewhere";
import { Flag } from "../fields/Flag";
import { Fold } from "../frame/Fold";
import { ParagraphFields } from "./ParagraphFields";
import { StyledText } from "./StyledText";
import { escaped, plain } from "./tags";
import { BringIn } from "./BringIn";
import { useLayout } from "./layout";
import { Choice } from "../fields/Choice";
import { Colour } from "../fields/Colour";
import { ColourBeside } from "../fields/ColourBeside";
import { familyTitle, weightTitle } from "../fields/faces";
import { whole } from "./kinds";
import { NumberOf } from "../fields/NumberOf";
import { choices } from "../generated/choices";
import { t } from "../texts/t";

type Text = ElementOf<"text">;
type Typed = Text | ElementOf<"grid_note">;
type Type = Partial<Omit<Text, "kind" | "text">>;
type Save<E> = (patch: Partial<E>) => Promise<unknown>;

/** A text element: what it says, with live text from a list, and its type. */
export function TextFields({ element, onSave }: { element: Text; onSave: Save<Text> }) {
  return (
    <Box sx={{ display: "grid", gap: 1.25 }}>
      <StyledText
        label={t("Text")}
        value={element.text ?? ""}
        tagged={element.markup ?? false}
        onSave={(text) => onSave({ text })}
      />
      <Flag
        label={t("Styles within the text")}
        value={element.markup ?? false}
        onSave={(markup) =>
          onSave({
            markup: markup || undefined,
            text: markup ? escaped(element.text ?? "") : plain(element.text ?? ""),
          })
        }
      />
      <LiveText
        onInsert={(tag) =>
          onSave({ text: `${element.text ?? ""}${element.text && !/\s$/.test(element.text) ? " " : ""}${tag}` })
        }
      />
      <TypeFields element={element} onSave={onSave} />
      <Fold title={t("Paragraphs")}>
        <ParagraphFields element={element} onSave={onSave} />
      </Fold>
    </Box>
  );
}

/** How text is set. */
export function TypeFields({ element, onSave }: { element: Typed; onSave: (patch: Type) => Promise<unknown> }) {
  const shown = whole(element);
  const book = useBook();
  const face = book.faces.find((known) => known.key === shown.face) ?? book.faces[0]!;
  const families = [...new Set(book.faces.map((known) => known.family))];
  const weights = [
    ...new Set(
      book.faces
        .filter((known) => known.family === face.family && known.italic === face.italic)
        .map((known) => known.weight),
    ),
  ];
  const leaning = book.faces.find(
    (known) => known.family === face.family && known.weight === face.weight && known.italic !== face.italic,
  );
  // The face of a family that is nearest to what was asked for.
  const choose = (family: string, weight: number, italic: boolean) => {
    const found = book.faces
      .filter((known) => known.family === family)
      .sort(
        (a, b) =>
          Number(a.italic !== italic) - Number(b.italic !== italic) ||
          Math.abs(a.weight - weight) - Math.abs(b.weight - weight),
      )[0]!;
    return onSave({ face: found.key });
  };
  return (
    <Box sx={{ display: "grid", gap: 1.25 }}>
      <ColourBeside
        colour={<Colour label={t("Colour of the text")} value={shown.colour} onSave={(colour) => onSave({ colour })} />}
      >
        <Choice
          label={t("Family")}
          value={face.family}
          choices={families.map((family) => [family, familyTitle(family)] as const)}
          onChoose={(family) => choose(family, face.weight, face.italic)}
        />
        <Choice
          label={t("Weight")}
          value={String(face.weight)}
          choices={weights.map((weight) => [String(weight), weightTitle(weight)] as const)}
          onChoose={(weight) => choose(face.family, Number(weight), face.italic)}
        />
        <NumberOf label={t("Size, pt")} part="text_element" of="size_pt" given={shown} onSave={onSave} />
        <Choice
          label={t("Style")}
          value={face.italic ? "italic" : "roman"}
          choices={
            [
              ["roman", t("roman")],
              ["italic", t("italic")],
            ].filter(([style]) => leaning || (style === "italic") === face.italic) as [string, string][]
          }
          onChoose={(style) => choose(face.family, face.weight, style === "italic")}
        />
        <Choice
          label={t("Horizontal alignment")}
          value={shown.align}
          choices={choices.text_element.align}
          onChoose={(align) => onSave({ align })}
        />
        <Choice
          label={t("Vertical alignment")}
          value={shown.anchor}
          choices={choices.text_element.anchor}
          onChoose={(anchor) => onSave({ anchor })}
        />
        <NumberOf label={t("Line height")} part="text_element" of="line_height" given={shown} onSave={onSave} />
        <NumberOf label={t("Tracking, pt")} part="text_element" of="tracking_pt" given={shown} onSave={onSave} />
        <NumberOf label={t("Padding, mm")} part="text_element" of="padding_mm" given={shown} onSave={onSave} />
        <NumberOf
          label={t("Minimum size, pt")}
          part="text_element"
          of="minimum_pt"
          given={element}
          placeholder={t("never")}
          onSave={onSave}
        />
      </ColourBeside>
      <BringIn
        title={t("Import a typeface")}
        label={t("Your own typeface")}
        accept=".ttf,.otf,font/ttf,font/otf"
        address={() => "faces"}
        onBrought={(key) => onSave({ face: key })}
      />
    </Box>
  );
}

// Values for live text, with what it gives on the sheet that is shown.
function LiveText({ onInsert }: { onInsert: (tag: string) => Promise<unknown> }) {
  const book = useBook();
  const { sheet } = useLayout();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const values = useQuery({
    queryKey: ["values", book.id, book.revision, sheet],
    queryFn: ({ signal }) =>
      get<{ name: string; value: string }[]>(`/api/books/${book.id}/sheets/${sheet!}/values`, signal),
    enabled: sheet !== null && !!anchor,
  });
  return (
    <>
      <Button
        sx={{ justifySelf: "start" }}
        disabled={sheet === null}
        aria-haspopup="menu"
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        {t("Insert a value")}
      </Button>
      <Menu
        open={!!anchor}
        anchorEl={anchor}
        onClose={() => setAnchor(null)}
        slotProps={{
          list: { dense: true, "aria-label": t("Live text") },
          paper: { role: "dialog", "aria-label": t("Values for live text"), sx: { maxHeight: 420 } },
        }}
      >
        {(values.data ?? []).map(({ name, value }) => (
          <MenuItem
            key={name}
            onClick={() => {
              setAnchor(null);
              void onInsert(`{{ ${name} }}`).catch(toldElsewhere);
            }}
            sx={{ display: "flex", gap: 2, justifyContent: "space-between" }}
          >
            <span>{name}</span>
            <Box
              component="span"
              sx={{ color: "text.secondary", maxWidth: 260, overflow: "hidden", textOverflow: "ellipsis" }}
            >
              {value || t("(empty)")}
            </Box>
          </MenuItem>
        ))}
        {values.isFetching && !values.data && <MenuItem disabled>…</MenuItem>}
      </Menu>
    </>
  );
}
