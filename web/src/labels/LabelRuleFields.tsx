import { Box } from "@mui/material";
import type { LabelRule } from "../api/types";
import type { Attribute } from "../api/useAttributes";
import { Choice } from "../fields/Choice";
import { ConditionEditor } from "../fields/ConditionEditor";
import { filled } from "../fields/filled";
import { Flag } from "../fields/Flag";
import { NumberOrNone } from "../fields/NumberOrNone";
import { Measured } from "../fields/Measured";
import { Pair } from "../fields/Pair";
import { ScaleRange } from "../fields/ScaleRange";
import { useFeatureAttributes } from "../fields/sheetConditions";
import { without } from "../fields/without";
import { Fold } from "../frame/Fold";
import { defaults } from "../generated/defaults";
import { AbbreviationFields } from "./AbbreviationFields";
import { AreaPlaceFields } from "./AreaPlaceFields";
import { BehindFields } from "./BehindFields";
import { LabelTextFields } from "./LabelTextFields";
import { LabelTypeFields } from "./LabelTypeFields";
import { LinePlaceFields } from "./LinePlaceFields";
import { PointPlaceFields } from "./PointPlaceFields";
import { limits } from "../generated/limits";
import { choices } from "../generated/choices";
import { t } from "../texts/t";

export type KeepRule = (rule: LabelRule) => Promise<unknown>;
export type LabelledKind = "point" | "line" | "area" | "mixed";

/** One label rule: what is written, in what type, where it may stand, for which features. */
export function LabelRuleFields({
  rule,
  kind,
  attributes,
  about,
  onSave,
}: {
  rule: LabelRule;
  kind: LabelledKind;
  attributes: Attribute[];
  about: string;
  onSave: KeepRule;
}) {
  const shown = filled(rule, defaults.label_rule);
  const asking = useFeatureAttributes(attributes);
  const is = (wanted: LabelledKind) => kind === wanted || kind === "mixed";
  return (
    <Box sx={{ display: "grid", gridTemplateColumns: "minmax(0, 1fr)", gap: 1 }}>
      <LabelTextFields rule={rule} attributes={attributes} onSave={onSave} />
      <LabelTypeFields rule={rule} onSave={onSave} />
      {is("point") && <PointPlaceFields places={rule.points} onSave={(points) => onSave({ ...rule, points })} />}
      {is("line") && <LinePlaceFields places={rule.lines} onSave={(lines) => onSave({ ...rule, lines })} />}
      {is("area") && <AreaPlaceFields places={rule.areas} onSave={(areas) => onSave({ ...rule, areas })} />}
      <Flag
        label={t("One label for all parts with the same text")}
        value={shown.together}
        onSave={(together) => onSave({ ...rule, together: together || undefined })}
      />
      <Measured
        label={t("Priority")}
        value={shown.priority}
        limits={limits.label_rule.priority}
        onSave={(priority) => onSave({ ...rule, priority })}
      />
      <Fold title={rule.when ? t("Labels of some features") : t("Labels of all features")}>
        <ConditionEditor
          about={about}
          attributes={asking}
          condition={rule.when}
          onSave={(when) => onSave({ ...without(rule, "when"), ...(when && { when }) })}
        />
      </Fold>
      <Fold title={rule.visible_scales ? t("At some scales") : t("At all scales")}>
        <Pair>
          <ScaleRange
            scales={rule.visible_scales}
            of=" of the labels"
            onSave={(scales) => onSave(scales ? { ...rule, visible_scales: scales } : without(rule, "visible_scales"))}
          />
        </Pair>
      </Fold>
      <Fold title={t("Halo, background and leader")}>
        <BehindFields rule={rule} onSave={onSave} />
      </Fold>
      <Fold title={t("Case, spacing and lines")}>
        <Box sx={{ display: "grid", gap: 1 }}>
          <Choice
            label={t("Letters")}
            value={shown.letter_case}
            choices={choices.label_rule.letter_case}
            onChoose={(letter_case) => onSave({ ...rule, letter_case })}
          />
          <Pair>
            <Measured
              label={t("Letter spacing, pt")}
              value={shown.letter_spacing_pt}
              limits={limits.label_rule.letter_spacing_pt}
              onSave={(letter_spacing_pt) => onSave({ ...rule, letter_spacing_pt })}
            />
            <Measured
              label={t("Word spacing, pt")}
              value={shown.word_spacing_pt}
              limits={limits.label_rule.word_spacing_pt}
              onSave={(word_spacing_pt) => onSave({ ...rule, word_spacing_pt })}
            />
            <NumberOrNone
              label={t("Wrap after, characters")}
              value={rule.wrap}
              placeholder={t("any number")}
              limits={limits.label_rule.wrap}
              onSave={(wrap) => onSave(wrap === undefined ? without(rule, "wrap") : { ...rule, wrap })}
            />
            <Measured
              label={t("Line spacing, × size")}
              value={shown.line_spacing}
              limits={limits.label_rule.line_spacing}
              onSave={(line_spacing) => onSave({ ...rule, line_spacing })}
            />
          </Pair>
        </Box>
      </Fold>
      <Fold
        title={
          rule.abbreviations?.length
            ? t("Abbreviations (%{length})", { length: rule.abbreviations.length })
            : t("Abbreviations")
        }
      >
        <AbbreviationFields
          list={rule.abbreviations ?? []}
          onSave={(abbreviations) =>
            onSave({ ...rule, abbreviations: abbreviations.length ? abbreviations : undefined })
          }
        />
      </Fold>
    </Box>
  );
}
