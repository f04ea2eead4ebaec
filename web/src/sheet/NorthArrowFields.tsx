import { Box, ButtonBase } from "@mui/material";
import { useQuery } from "@tanstack/react-query";
import { get } from "../api/client";
import type { Drawing, ElementOf } from "../api/types";
import { Choice } from "../fields/Choice";
import { Colour } from "../fields/Colour";
import { ColourBeside } from "../fields/ColourBeside";
import { Field } from "../fields/Field";
import { Heading } from "../frame/Card";
import { useBook } from "../api/book";
import { toldElsewhere } from "../api/toldElsewhere";
import { FrameChoice } from "./FrameChoice";
import { ImportArtwork } from "./ImportArtwork";
import { ElementSummary } from "./ElementSummary";
import { whole } from "./kinds";
import { choices } from "../generated/choices";
import { t } from "../texts/t";

// North in some languages: the letter at the tip.
const LETTERS: readonly (readonly [string, string])[] = [
  ["N", t("N, English")],
  ["С", t("С, Russian")],
  ["Β", t("Β, Greek")],
  ["Пн", t("Пн, Ukrainian")],
  ["É", t("É, Hungarian")],
  ["S", t("S, Czech")],
  ["Š", t("Š, Lithuanian")],
  ["P", t("P, Finnish")],
  ["", t("no letter")],
];

const BY_LANGUAGE = "language";

/** A north arrow: its drawing, which north it points to, and the letter at its tip. */
export function NorthArrowFields({
  element,
  onSave,
}: {
  element: ElementOf<"north_arrow">;
  onSave: (patch: Partial<ElementOf<"north_arrow">>) => Promise<unknown>;
}) {
  const shown = whole(element);
  const forms = useQuery({
    queryKey: ["north-arrows"],
    queryFn: ({ signal }) => get<Drawing[]>("/api/north-arrows", signal),
    staleTime: Infinity,
  });
  const form = shown.form,
    letter = shown.letter;
  const own = element.drawing ?? element.picture;
  const known = LETTERS.some(([mark]) => mark === letter);
  return (
    <>
      <Heading text={t("North arrow")} />
      <FrameChoice value={element.frame} onChoose={(frame) => onSave({ frame })} />
      <ElementSummary id={element.id} />
      <Box
        role="group"
        aria-label={t("Drawings")}
        sx={{ display: "grid", gridTemplateColumns: "repeat(5, 1fr)", gap: 0.5, my: 1 }}
      >
        {(forms.data ?? []).map((drawing) => (
          <ButtonBase
            key={drawing.id}
            aria-label={drawing.title}
            title={drawing.title}
            aria-pressed={!own && drawing.id === form}
            onClick={() =>
              void onSave({ form: drawing.id, drawing: undefined, picture: undefined }).catch(toldElsewhere)
            }
            sx={{
              p: 0.5,
              border: 2,
              borderColor: !own && drawing.id === form ? "primary.main" : "divider",
              bgcolor: "#fffdf6",
              color: "#1f2a30",
              "& svg": { width: 34, height: 34, display: "block" },
            }}
          >
            {/* The server's own drawing: shapes and nothing else. */}
            <span dangerouslySetInnerHTML={{ __html: drawing.svg }} />
          </ButtonBase>
        ))}
      </Box>
      <OwnArrow element={element} onSave={onSave} />
      <ColourBeside
        colour={
          <Colour label={t("Colour of the arrow")} value={shown.colour} onSave={(colour) => onSave({ colour })} />
        }
      >
        <Choice
          label={t("Points to")}
          value={shown.north}
          choices={choices.north_arrow_element.north}
          onChoose={(north) => onSave({ north })}
        />
        <Choice
          label={t("At")}
          value={element.at === "here" ? "here" : "frame"}
          choices={choices.north_arrow_element.at}
          onChoose={(at) => onSave({ at: at === "here" ? "here" : undefined })}
        />
        <Choice
          label={t("Letter")}
          wide
          value={letter === undefined ? BY_LANGUAGE : known ? letter : "own"}
          choices={[
            [BY_LANGUAGE, t("as the book's language")],
            ...LETTERS,
            ...(known || letter === undefined ? [] : [["own", "custom"] as const]),
          ]}
          onChoose={(mark) => onSave({ letter: mark === BY_LANGUAGE ? undefined : mark })}
        />
        <Field label={t("Custom letters")} value={letter ?? ""} onSave={(text) => onSave({ letter: text.trim() })} />
      </ColourBeside>
    </>
  );
}

// A drawing or a picture of the book's own in place of a shipped one; it points up in its file.
function OwnArrow({
  element,
  onSave,
}: {
  element: ElementOf<"north_arrow">;
  onSave: (patch: Partial<ElementOf<"north_arrow">>) => Promise<unknown>;
}) {
  const book = useBook();
  const known: (readonly [string, string])[] = [
    ...(book.document.markers ?? []).map(({ id, title }) => [`drawing ${id}`, title] as const),
    ...(book.document.pictures ?? []).map(({ id, title }) => [`picture ${id}`, title] as const),
  ];
  const value: string = element.picture
    ? `picture ${element.picture}`
    : element.drawing
      ? `drawing ${element.drawing}`
      : "";
  const choose = (kind: string, id: string) =>
    onSave({
      drawing: kind === "drawing" ? id : undefined,
      picture: kind === "picture" ? id : undefined,
    });
  return (
    <Box sx={{ display: "grid", gap: 1, justifyItems: "start", "& > .MuiTextField-root": { width: "100%" }, mb: 1 }}>
      {known.length > 0 && (
        <Choice
          label={t("Your own drawing")}
          value={value}
          choices={[["", t("none")], ...known]}
          onChoose={(chosen) => choose(...(chosen.split(" ") as [string, string]))}
        />
      )}
      <ImportArtwork title={t("Import a north arrow")} label={t("Your own north arrow")} onBrought={choose} />
    </Box>
  );
}
