import { Box, Button } from "@mui/material";
import type { Note } from "../api/types";
import { toldElsewhere } from "../api/toldElsewhere";
import { Choice } from "../fields/Choice";
import { Colour } from "../fields/Colour";
import { ColourBeside } from "../fields/ColourBeside";
import { Field } from "../fields/Field";
import { filled } from "../fields/filled";
import { Flag } from "../fields/Flag";
import { Measured } from "../fields/Measured";
import { Pair } from "../fields/Pair";
import { defaults } from "../generated/defaults";
import { lineEnds } from "../generated/kinds";
import { FaceChoice } from "../fields/FaceChoice";
import { FillFields } from "../fields/FillFields";
import { BackgroundChoice } from "../labels/BackgroundChoice";
import { titleOf, useNotes } from "./useNotes";
import type { Place } from "../page/onGround";
import { limits } from "../generated/limits";
import { NumberOf } from "../fields/NumberOf";
import { t } from "../texts/t";

const ENDS = [["", t("nothing")], ...lineEnds] as const;
const STROKE = { width_mm: 0.4, colour: "#8c2f39" };

/** What a note says and how it looks. */
export function NoteFields({ note }: { note: Note }) {
  const { put, remove, way } = useNotes();
  const shown = filled(note, defaults.note);
  const stroke = { ...STROKE, ...note.stroke };
  const keep = (patch: Partial<Note>, words = "Note") => put(`${words} ${titleOf(note)}`, { ...note, ...patch });
  const led = note.kind === "text" && note.places.length === 2;
  const withLeader = (leader: boolean) => {
    const first = note.places[0] as Place;
    if (!leader || !way) return keep({ places: [first] }, "Leader of the note");
    const [x, y] = way.toPage(first);
    return keep({ places: [first, way.toGround([x + 15, y + 10])], last_end: "dot" }, "Leader of the note");
  };
  return (
    <Box sx={{ display: "grid", gap: 1, mt: 1, pl: 1, borderLeft: 2, borderColor: "thread.main" }}>
      <Field
        label={note.kind === "text" ? t("Text of the note") : t("What it is about")}
        value={note.text ?? ""}
        multiline
        onSave={async (text) => {
          if (note.kind === "text" && text.trim() === "") throw new Error(t("Enter a text."));
          await keep({ text }, "Text of the note");
        }}
      />
      {note.kind === "text" && (
        <>
          <ColourBeside
            colour={
              <Colour label={t("Colour of the note")} value={shown.colour} onSave={(colour) => keep({ colour })} />
            }
          >
            <FaceChoice label={t("Typeface of the note")} value={shown.face} wide onChoose={(face) => keep({ face })} />
            <NumberOf label={t("Size, pt")} part="note" of="size_pt" given={shown} onSave={keep} />
          </ColourBeside>
          <NumberOf label={t("Rotation, ° clockwise")} part="note" of="rotation_deg" given={shown} onSave={keep} />
          <BackgroundChoice
            label={t("Background of the note")}
            shape={note.backing && (note.backing.shape ?? "box")}
            onChoose={(shape) => keep({ backing: shape && { ...note.backing, shape } }, "Background of the note")}
          />
          <Flag label={t("Leader line to a place")} value={led} onSave={withLeader} />
        </>
      )}
      {(note.kind !== "text" || led) && (
        <ColourBeside
          colour={
            <Colour
              label={t("Colour of the line")}
              value={stroke.colour}
              onSave={(colour) => keep({ stroke: { ...stroke, colour } }, "Line of the note")}
            />
          }
        >
          <Measured
            label={t("Line width, mm")}
            value={stroke.width_mm}
            limits={limits.stroke.width_mm}
            onSave={(width_mm) => keep({ stroke: { ...stroke, width_mm } }, "Line of the note")}
          />
        </ColourBeside>
      )}
      {(note.kind === "line" || led) && (
        <Pair>
          {note.kind === "line" && (
            <Choice
              label={t("Begins with")}
              wide
              value={note.first_end ?? ""}
              choices={ENDS}
              onChoose={(end) => keep({ first_end: end === "" ? undefined : end }, "Ends of the note")}
            />
          )}
          <Choice
            label={t("Ends in")}
            wide
            value={note.last_end ?? ""}
            choices={ENDS}
            onChoose={(end) => keep({ last_end: end === "" ? undefined : end }, "Ends of the note")}
          />
          <Measured
            label={t("Size of the ends, mm")}
            value={shown.end_mm}
            limits={limits.note.end_mm}
            onSave={(end_mm) => keep({ end_mm }, "Ends of the note")}
          />
        </Pair>
      )}
      {(note.kind === "rectangle" || note.kind === "ellipse" || note.kind === "area") && (
        <>
          <Flag
            label={t("Filled")}
            value={!!note.fill}
            onSave={(fill) =>
              keep({ fill: fill ? { colour: stroke.colour, opacity: 0.2 } : undefined }, "Area of the note")
            }
          />
          {note.fill && <FillFields fill={note.fill} onSave={(fill) => keep({ fill }, "Area of the note")} />}
        </>
      )}
      <Flag
        label={t("Hidden")}
        value={shown.hidden}
        onSave={(hidden) => keep({ hidden: hidden || undefined }, hidden ? "Hide the note" : "Show the note")}
      />
      <Box>
        <Button color="error" onClick={() => void remove(note).catch(toldElsewhere)}>
          {t("Remove the note")}
        </Button>
      </Box>
    </Box>
  );
}
