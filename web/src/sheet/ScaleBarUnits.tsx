import { Box } from "@mui/material";
import type { ScaleBarElement } from "../api/types";
import { Choice } from "../fields/Choice";
import { Field } from "../fields/Field";
import { whole } from "./kinds";
import { GRID, type Keep } from "./scaleBar";
import { NumberOf } from "../fields/NumberOf";
import { choices } from "../generated/choices";
import { t } from "../texts/t";

/** What a scale bar counts: units, divisions. */
export function UnitFields({ element, onSave }: { element: ScaleBarElement; onSave: Keep }) {
  const shown = whole(element);
  const units = [element.units, element.second_units];
  return (
    <Box sx={{ ...GRID, mt: 1 }}>
      <Choice
        label={t("Units")}
        value={shown.units}
        choices={choices.scale_bar_element.units}
        onChoose={(units) => onSave({ units })}
      />
      <Choice
        label={t("Second units")}
        value={element.second_units ?? "none"}
        choices={[["none", t("none")], ...choices.scale_bar_element.second_units]}
        onChoose={(units) => onSave({ second_units: units === "none" ? undefined : units })}
      />
      {units.includes("paces") && (
        <NumberOf label={t("Pace, m")} part="scale_bar_element" of="pace_m" given={shown} onSave={onSave} />
      )}
      {units.includes("minutes") && (
        <NumberOf label={t("Walk, km/h")} part="scale_bar_element" of="walk_kmh" given={shown} onSave={onSave} />
      )}
      <Field
        label={t("Division length")}
        value={element.division_length ?? ""}
        placeholder={t("round")}
        onSave={(text) => onSave({ division_length: text.trim() || undefined })}
      />
      <NumberOf
        label={t("Divisions")}
        part="scale_bar_element"
        of="divisions"
        given={element}
        placeholder={t("as fits")}
        onSave={onSave}
      />
      <NumberOf
        label={t("Extension left of zero")}
        part="scale_bar_element"
        of="extension"
        given={element}
        placeholder={t("as fits")}
        onSave={onSave}
      />
    </Box>
  );
}

/** How it is marked: labels, the unit, fraction and verbal scale. */
export function MarkFields({ element, onSave }: { element: ScaleBarElement; onSave: Keep }) {
  const shown = whole(element);
  return (
    <Box sx={{ ...GRID, mt: 1 }}>
      <Choice
        label={t("Labelled")}
        value={shown.labelled}
        choices={choices.scale_bar_element.labelled}
        onChoose={(labelled) => onSave({ labelled })}
      />
      <Choice
        label={t("Label position")}
        value={shown.labels_at}
        choices={choices.scale_bar_element.labels_at}
        onChoose={(labels_at) => onSave({ labels_at })}
      />
      <Choice
        label={t("Unit position")}
        value={shown.unit_at}
        choices={choices.scale_bar_element.unit_at}
        onChoose={(unit_at) => onSave({ unit_at })}
      />
      <Field
        label={t("Unit symbol")}
        value={element.unit_text ?? ""}
        placeholder={t("as usual")}
        onSave={(text) => onSave({ unit_text: text.trim() || undefined })}
      />
      <NumberOf
        label={t("Decimals")}
        part="scale_bar_element"
        of="decimals"
        given={element}
        placeholder={t("as fits")}
        onSave={onSave}
      />
      <Choice
        label={t("Thousands")}
        value={shown.thousands}
        choices={choices.scale_bar_element.thousands}
        onChoose={(thousands) => onSave({ thousands })}
      />
      <Choice
        label={t("Representative fraction")}
        value={shown.fraction}
        choices={choices.scale_bar_element.fraction}
        onChoose={(fraction) => onSave({ fraction })}
      />
      <Choice
        label={t("Verbal scale")}
        value={shown.verbal}
        choices={choices.scale_bar_element.fraction}
        onChoose={(verbal) => onSave({ verbal })}
      />
      {shown.verbal !== "none" && (
        <Choice
          label={t("Verbal scale in")}
          value={shown.verbal_units}
          choices={choices.scale_bar_element.verbal_units}
          onChoose={(verbal_units) => onSave({ verbal_units })}
        />
      )}
    </Box>
  );
}
