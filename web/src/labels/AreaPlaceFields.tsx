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

type Places = NonNullable<LabelRule["areas"]>;

/** Where the labels of areas may stand. */
export function AreaPlaceFields({
  places,
  onSave,
}: {
  places: Places | undefined;
  onSave: (places: Places) => Promise<unknown>;
}) {
  const shown = filled(places, defaults.label_area_places);
  const keep = (patch: Partial<Places>) => onSave({ ...places, ...patch });
  return (
    <Box sx={{ display: "grid", gap: 0.5 }}>
      <Choice
        label={t("In the area")}
        value={shown.course}
        choices={choices.label_area_places.course}
        onChoose={(course) => keep({ course })}
      />
      <Flag
        label={t("Letterspace to fill the area")}
        value={shown.letterspaced}
        onSave={(letterspaced) => keep({ letterspaced: letterspaced || undefined })}
      />
      <Flag
        label={t("Place outside if it does not fit")}
        value={shown.outside}
        onSave={(outside) => keep({ outside })}
      />
      <Pair>
        {shown.letterspaced && (
          <NumberOf
            label={t("Maximum letterspacing, × size")}
            part="label_area_places"
            of="maximum_spacing"
            given={shown}
            onSave={keep}
          />
        )}
        {shown.outside && (
          <NumberOf
            label={t("Longest leader, mm")}
            part="label_area_places"
            of="leader_mm"
            given={shown}
            onSave={keep}
          />
        )}
      </Pair>
    </Box>
  );
}
