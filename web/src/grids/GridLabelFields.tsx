import { Box, Checkbox, FormControlLabel } from "@mui/material";
import { useBook } from "../api/book";
import type { GridLabels } from "../api/types";
import { toldElsewhere } from "../api/toldElsewhere";
import { Choice } from "../fields/Choice";
import { Colour } from "../fields/Colour";
import { ColourBeside } from "../fields/ColourBeside";
import { HaloField } from "../fields/HaloField";
import { Measured } from "../fields/Measured";
import { filled } from "../fields/filled";
import { defaults } from "../generated/defaults";
import { SidesField } from "./SidesField";
import { limits } from "../generated/limits";
import { NumberOf } from "../fields/NumberOf";
import { choices } from "../generated/choices";
import { t } from "../texts/t";

const DEFAULT: GridLabels = { sides: [], size_pt: 6.5, label_gap_mm: 1.2 };

/** Which sides of the frame are labelled, where the labels stand, and what they say. */
export function GridLabelFields({
  labels,
  angles,
  onSave,
}: {
  labels: GridLabels | undefined;
  angles: boolean;
  onSave: (labels: GridLabels | undefined) => Promise<unknown>;
}) {
  const book = useBook();
  const now = labels ?? DEFAULT;
  const shown = filled(now, defaults.grid_labels);
  const keep = (patch: Partial<GridLabels>) => onSave({ ...now, ...patch });
  const inside = now.position === "inside";
  return (
    <>
      <SidesField sides={now.sides} onSave={(sides) => onSave(sides.length ? { ...now, sides } : undefined)} />
      {labels && (
        <ColourBeside
          colour={
            <Colour label={t("Colour of the labels")} value={shown.colour} onSave={(colour) => keep({ colour })} />
          }
        >
          <Choice
            label={t("Position")}
            value={shown.position}
            choices={choices.grid_labels.position}
            onChoose={(position) => keep({ position })}
          />
          <NumberOf label={t("Size, pt")} part="grid_labels" of="size_pt" given={shown} onSave={keep} />
          <Choice
            label={t("Orientation")}
            wide
            value={shown.orientation}
            choices={choices.grid_labels.orientation}
            onChoose={(orientation) => keep({ orientation })}
          />
          <NumberOf label={t("Label gap, mm")} part="grid_labels" of="label_gap_mm" given={shown} onSave={keep} />
          <Choice
            label={t("Typeface")}
            value={shown.face}
            choices={book.faces.map(
              (face) =>
                [
                  face.key,
                  `${face.family.replace(/^Loom /, "")} ${face.weight}${face.italic ? " italic" : ""}`,
                ] as const,
            )}
            onChoose={(face) => keep({ face })}
          />
          <Choice
            label={t("Label format")}
            value={shown.form}
            choices={choices.grid_labels.form}
            onChoose={(form) => keep({ form })}
          />
          {angles ? <AngleFields now={now} keep={keep} /> : <NumberFields now={now} keep={keep} />}
          <Choice
            label={t("Decimals")}
            value={now.decimals === undefined ? "auto" : String(now.decimals)}
            choices={[
              ["auto", t("automatic")],
              ...[0, 1, 2, 3, 4, 5, 6].map((places) => [String(places), String(places)] as const),
            ]}
            onChoose={(places) => keep({ decimals: places === "auto" ? undefined : Number(places) })}
          />
          <Choice
            label={t("Lines labelled")}
            wide
            value={shown.families}
            choices={choices.grid_labels.families}
            onChoose={(families) => keep({ families })}
          />
          <HaloField halo={now.halo} onSave={(halo) => keep({ halo: halo && { colour: "#ffffff", ...halo } })} />
          {inside && (
            <Measured
              label={t("Gap in lines, mm")}
              value={now.line_gap_mm ?? 0}
              limits={limits.grid_labels.line_gap_mm}
              onSave={(line_gap_mm) => keep({ line_gap_mm: line_gap_mm === 0 ? undefined : line_gap_mm })}
            />
          )}
        </ColourBeside>
      )}
      {labels && (
        <Box sx={{ display: "grid", mt: 0.5 }}>
          {angles ? (
            <Ticked
              label={t("Leading zeros, as in 007°")}
              on={shown.zeros}
              onSave={(zeros) => keep({ zeros: zeros || undefined })}
            />
          ) : (
            <Ticked label={t("With the unit")} on={shown.unit} onSave={(unit) => keep({ unit: unit || undefined })} />
          )}
          {!inside && (
            <Ticked
              label={t("Full coordinates at the frame’s corners")}
              on={shown.corners}
              onSave={(corners) => keep({ corners: corners || undefined })}
            />
          )}
        </Box>
      )}
    </>
  );
}

function Ticked({ label, on, onSave }: { label: string; on: boolean; onSave: (on: boolean) => Promise<unknown> }) {
  return (
    <FormControlLabel
      control={
        <Checkbox
          size="small"
          checked={on}
          onChange={(event) => void onSave(event.target.checked).catch(toldElsewhere)}
          sx={{ py: 0.25 }}
        />
      }
      label={label}
    />
  );
}

interface WrittenProps {
  now: GridLabels;
  keep: (patch: Partial<GridLabels>) => Promise<unknown>;
}

// How longitudes and latitudes are written.
function AngleFields({ now, keep }: WrittenProps) {
  return (
    <>
      <Choice
        label={t("Angle format")}
        value={now.notation ?? "auto"}
        choices={[["auto", t("automatic")], ...choices.grid_labels.notation]}
        onChoose={(notation) => keep({ notation: notation === "auto" ? undefined : notation })}
      />
      <Choice
        label={t("Hemisphere")}
        value={now.hemisphere ?? "letters"}
        choices={[
          ["letters", "N S E W"],
          ["signs", t("sign")],
        ]}
        onChoose={(hemisphere) => keep({ hemisphere })}
      />
    </>
  );
}

// How eastings and northings are written.
function NumberFields({ now, keep }: WrittenProps) {
  const shown = filled(now, defaults.grid_labels);
  return (
    <>
      <Choice
        label={t("Thousands")}
        value={shown.thousands}
        choices={choices.grid_labels.thousands}
        onChoose={(thousands) => keep({ thousands })}
      />
      <Choice
        label={t("Direction")}
        value={now.hemisphere ?? "signs"}
        choices={[
          ["signs", t("none")],
          ["letters", t("E and N")],
        ]}
        onChoose={(hemisphere) => keep({ hemisphere })}
      />
    </>
  );
}
