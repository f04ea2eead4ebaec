import { Box } from "@mui/material";
import type { LabelRule } from "../api/types";
import { Choice } from "../fields/Choice";
import { filled } from "../fields/filled";
import { Flag } from "../fields/Flag";
import { Pair } from "../fields/Pair";
import { defaults } from "../generated/defaults";
import { NumberOf } from "../fields/NumberOf";
import { choices } from "../generated/choices";
import { t } from "../texts/t";

type Places = NonNullable<LabelRule["lines"]>;

/** Where the labels of lines may stand. */
export function LinePlaceFields({
  places,
  onSave,
}: {
  places: Places | undefined;
  onSave: (places: Places) => Promise<unknown>;
}) {
  const shown = filled(places, defaults.label_line_places);
  const keep = (patch: Partial<Places>) => onSave({ ...places, ...patch });
  return (
    <Box sx={{ display: "grid", gap: 1 }}>
      <Pair>
        <Choice
          label={t("Direction")}
          wide
          value={shown.course}
          choices={choices.label_line_places.course}
          onChoose={(course) => keep({ course })}
        />
        <Choice
          label={t("Side")}
          wide
          value={shown.position}
          choices={choices.label_line_places.position}
          onChoose={(position) => keep({ position })}
        />
        <NumberOf label={t("Repeat every, mm")} part="label_line_places" of="repeat_mm" given={shown} onSave={keep} />
        {shown.position !== "on" && (
          <NumberOf label={t("Line gap, mm")} part="label_line_places" of="gap_mm" given={shown} onSave={keep} />
        )}
        {shown.course === "curved" && (
          <NumberOf
            label={t("Maximum bend, °")}
            part="label_line_places"
            of="sharpest_deg"
            given={shown}
            onSave={keep}
          />
        )}
      </Pair>
      {shown.position === "on" && (
        <Flag
          label={t("Interrupt the line for its label")}
          value={shown.breaks}
          onSave={(breaks) => keep({ breaks: breaks || undefined })}
        />
      )}
      {shown.course !== "level" && (
        <Choice
          label={t("Reading direction")}
          value={shown.top}
          choices={choices.label_line_places.top}
          onChoose={(top) => keep({ top })}
        />
      )}
    </Box>
  );
}
