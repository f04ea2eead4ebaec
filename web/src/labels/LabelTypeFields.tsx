import type { LabelRule } from "../api/types";
import { Colour } from "../fields/Colour";
import { ColourBeside } from "../fields/ColourBeside";
import { filled } from "../fields/filled";
import { Measured } from "../fields/Measured";
import { defaults } from "../generated/defaults";
import { FaceChoice } from "../fields/FaceChoice";
import { Percent } from "../fields/Percent";
import type { KeepRule } from "./LabelRuleFields";
import { limits } from "../generated/limits";
import { t } from "../texts/t";

/** In what type a label is set. */
export function LabelTypeFields({ rule, onSave }: { rule: LabelRule; onSave: KeepRule }) {
  const shown = filled(rule, defaults.label_rule);
  return (
    <ColourBeside
      colour={
        <Colour
          label={t("Colour of the labels")}
          value={shown.colour}
          onSave={(colour) => onSave({ ...rule, colour })}
        />
      }
    >
      <FaceChoice
        label={t("Typeface of the labels")}
        value={shown.face}
        wide
        onChoose={(face) => onSave({ ...rule, face })}
      />
      <Measured
        label={t("Size, pt")}
        value={shown.size_pt}
        limits={limits.label_rule.size_pt}
        onSave={(size_pt) => onSave({ ...rule, size_pt })}
      />
      <Percent label={t("Opacity, %")} value={shown.opacity} onSave={(opacity) => onSave({ ...rule, opacity })} />
    </ColourBeside>
  );
}
