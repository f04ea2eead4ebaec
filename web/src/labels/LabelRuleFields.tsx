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
        label="One label for all parts with the same text"
        value={shown.together}
        onSave={(together) => onSave({ ...rule, together: together || undefined })}
      />
      <Measured
        label="Priority"
        value={shown.priority}
        limits={limits.label_rule.priority}
        onSave={(priority) => onSave({ ...rule, priority })}
      />
      <Fold title={rule.when ? "Labels of some features" : "Labels of all features"}>
        <ConditionEditor
          about={about}
          attributes={asking}
          condition={rule.when}
          onSave={(when) => onSave({ ...without(rule, "when"), ...(when && { when }) })}
        />
      </Fold>
      <Fold title={rule.visible_scales ? "At some scales" : "At all scales"}>
        <Pair>
          <ScaleRange
            scales={rule.visible_scales}
            of=" of the labels"
            onSave={(scales) => onSave(scales ? { ...rule, visible_scales: scales } : without(rule, "visible_scales"))}
          />
        </Pair>
      </Fold>
      <Fold title="Halo, background and leader">
        <BehindFields rule={rule} onSave={onSave} />
      </Fold>
      <Fold title="Case, spacing and lines">
        <Box sx={{ display: "grid", gap: 1 }}>
          <Choice
            label="Letters"
            value={shown.letter_case}
            choices={choices.label_rule.letter_case}
            onChoose={(letter_case) => onSave({ ...rule, letter_case })}
          />
          <Pair>
            <Measured
              label="Letter spacing, pt"
              value={shown.letter_spacing_pt}
              limits={limits.label_rule.letter_spacing_pt}
              onSave={(letter_spacing_pt) => onSave({ ...rule, letter_spacing_pt })}
            />
            <Measured
              label="Word spacing, pt"
              value={shown.word_spacing_pt}
              limits={limits.label_rule.word_spacing_pt}
              onSave={(word_spacing_pt) => onSave({ ...rule, word_spacing_pt })}
            />
            <NumberOrNone
              label="Wrap after, characters"
              value={rule.wrap}
              placeholder="any number"
              limits={limits.label_rule.wrap}
              onSave={(wrap) => onSave(wrap === undefined ? without(rule, "wrap") : { ...rule, wrap })}
            />
            <Measured
              label="Line spacing, × size"
              value={shown.line_spacing}
              limits={limits.label_rule.line_spacing}
              onSave={(line_spacing) => onSave({ ...rule, line_spacing })}
            />
          </Pair>
        </Box>
      </Fold>
      <Fold title={rule.abbreviations?.length ? `Abbreviations (${rule.abbreviations.length})` : "Abbreviations"}>
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
