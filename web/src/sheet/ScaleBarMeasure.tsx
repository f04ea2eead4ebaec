import { Box } from "@mui/material";
import type { ScaleBarElement } from "../api/types";
import { Choice } from "../fields/Choice";
import { Field } from "../fields/Field";
import { FrameChoice } from "./FrameChoice";
import { whole } from "./kinds";
import { GRID, type Keep } from "./scaleBar";
import { NumberOf } from "../fields/NumberOf";
import { choices } from "../generated/choices";
import { t } from "../texts/t";

/** Where a scale bar is true, and how far off it may be elsewhere. */
export function MeasureFields({ element, onSave }: { element: ScaleBarElement; onSave: Keep }) {
  const shown = whole(element);
  const chosen = element.true_at;
  return (
    <Box sx={GRID}>
      <FrameChoice value={element.frame} onChoose={(frame) => onSave({ frame })} />
      <Choice
        label={t("Scale")}
        wide
        value={shown.measured}
        choices={choices.scale_bar_element.measured}
        onChoose={(measured) => onSave({ measured })}
      />
      <NumberOf
        label={t("Error limit, %")}
        part="scale_bar_element"
        of="error_limit_percent"
        given={shown}
        onSave={onSave}
      />
      <Choice
        label={t("If exceeded")}
        value={shown.if_exceeded}
        choices={choices.scale_bar_element.if_exceeded}
        onChoose={(if_exceeded) => onSave({ if_exceeded })}
      />
      <Choice
        label={t("One length for")}
        value={shown.fitted}
        choices={choices.scale_bar_element.fitted}
        onChoose={(fitted) => onSave({ fitted: fitted === "book" ? undefined : fitted })}
      />
      <Field
        label={t("True at, mm")}
        value={chosen ? `${chosen.x_mm}; ${chosen.y_mm}` : ""}
        placeholder={t("the middle")}
        onSave={(text) => {
          const parts = text.split(";").map((part) => Number(part.trim().replace(",", ".")));
          if (text.trim() !== "" && (parts.length !== 2 || parts.some((part) => !Number.isFinite(part))))
            throw new Error(t("Enter a place on the page, such as 120; 85."));
          return onSave({ true_at: text.trim() === "" ? undefined : { x_mm: parts[0]!, y_mm: parts[1]! } });
        }}
      />
      <NumberOf
        label={t("Minimum length, mm")}
        part="scale_bar_element"
        of="minimum_mm"
        given={element}
        placeholder="5"
        onSave={onSave}
      />
    </Box>
  );
}
