import BackIcon from "@mui/icons-material/ArrowBack";
import { Box, Button, Checkbox, FormControlLabel, Typography } from "@mui/material";
import type { ReactNode } from "react";
import type { Answer, Index } from "../api/types";
import type { IndexPatch } from "../api/indexAnswer";
import { listed, ratio } from "../api/words";
import { readAngle, readScale } from "../numbers/read";
import { written } from "../numbers/written";
import type { Place } from "../guide/places";
import { Card } from "../frame/Card";
import { Field } from "../fields/Field";
import { useAreaAttributes } from "../api/useAttributes";
import { toldElsewhere } from "../api/toldElsewhere";
import { Choice } from "../fields/Choice";
import { Measured } from "../fields/Measured";
import { filled } from "../fields/filled";
import { defaults } from "../generated/defaults";
import type { Trial } from "./useIndexTrial";
import { limits } from "../generated/limits";
import { choices } from "../generated/choices";
import { readGround } from "./words";
import { t } from "../texts/t";
import { rich } from "../texts/rich";

export interface Trying {
  // The index as it would be.
  index: Index;
  onTry: (patch: IndexPatch) => void;
}

interface SettingsCardProps {
  title: string;
  // What of the guide explains it.
  help: Place;
  trial: Trial;
  // What the change is called.
  label: string;
  onBack: () => void;
  children: ReactNode;
}

/** Settings of the index that are tried before they are applied: the map shows the cells that would come. */
export function SettingsCard({ title, help, trial, label, onBack, children }: SettingsCardProps) {
  const { answer, foretold, problem } = trial;
  return (
    <Card help={help} title={title}>
      <Button startIcon={<BackIcon />} onClick={onBack} sx={{ mb: 1 }}>
        {t("Back to the cell")}
      </Button>
      <Box sx={{ display: "grid", gap: 1.5 }}>{children}</Box>
      {trial.trial && (
        <Box sx={{ mt: 2, p: 1.25, border: 2, borderColor: problem ? "error.main" : "thread.main" }}>
          <Typography
            role={problem ? "alert" : "status"}
            sx={{ fontSize: 14, color: problem ? "error.main" : undefined }}
          >
            {problem ?? foretold}
          </Typography>
          {answer && !problem && <Difference answer={answer} />}
          <Box sx={{ display: "flex", gap: 1, mt: 1 }}>
            <Button
              variant="contained"
              disabled={!answer || !!problem}
              onClick={() => void trial.keepTrial(label).catch(toldElsewhere)}
            >
              {t("Apply")}
            </Button>
            <Button color="inherit" onClick={trial.drop}>
              {t("Cancel")}
            </Button>
          </Box>
        </Box>
      )}
    </Card>
  );
}

// Which names are added, removed and unchanged.
function Difference({ answer }: { answer: Answer }) {
  const { come = [], go = [], stay = 0 } = answer;
  return (
    <Typography sx={{ fontSize: 13, color: "text.secondary", mt: 0.5 }}>
      {come.length === 0 && go.length === 0 ? (
        t("All names unchanged.")
      ) : (
        <>
          {rich(t("<1/> names unchanged<2/><3/>."), {
            1: stay,
            2: come.length > 0 && <>{rich(t("; <1/> added"), { 1: listed(come, 6) })}</>,
            3: go.length > 0 && <>{rich(t("; <1/> removed"), { 1: listed(go, 6) })}</>,
          })}
        </>
      )}
    </Typography>
  );
}

const length = (text: string, expected: string) => {
  const found = readGround(text);
  if (found === null) throw new Error(expected);
  return found;
};

/** Where a grid begins, how it is rotated, which cells stay, and whether to look for the fewest. */
export function GridSettings({ index, onTry }: Trying) {
  const shown = filled(index, defaults.index);
  const origin = index.origin;
  const fewest = index.fewest ?? "no";
  return (
    <>
      <Choice
        label={t("Fewest sheets")}
        value={fewest}
        choices={[["no", t("the grid as set below")], ...choices.index.fewest]}
        onChoose={async (value) => onTry({ fewest: value === "no" ? null : value })}
      />
      {fewest === "no" && (
        <>
          <Choice
            label={t("Grid origin")}
            value={origin?.kind ?? "centred"}
            choices={[
              ["centred", t("centred on the area")],
              ["round", t("corners on round coordinates")],
              ["point", t("a corner at a point")],
            ]}
            onChoose={async (kind) =>
              onTry({
                origin:
                  kind === "centred"
                    ? null
                    : kind === "round"
                      ? { kind, multiple: (origin?.kind === "round" && origin.multiple) || "100 m", x: null, y: null }
                      : { kind: "point", multiple: null, x: 0, y: 0 },
              } as IndexPatch)
            }
          />
          {origin?.kind === "round" && (
            <Field
              label={t("Corners on multiples of")}
              value={origin.multiple ?? ""}
              onSave={async (text) =>
                onTry({ origin: { multiple: length(text, t("Enter a ground length, such as 100 m.")) } } as IndexPatch)
              }
            />
          )}
          {origin?.kind === "point" && (
            <Box sx={{ display: "flex", gap: 1 }}>
              {(["x", "y"] as const).map((axis) => (
                <Measured
                  key={axis}
                  label={axis === "x" ? t("East") : t("North")}
                  value={origin[axis] ?? 0}
                  limits={{ least: -1e9, most: 1e9 }}
                  onSave={async (value) => onTry({ origin: { [axis]: value } } as IndexPatch)}
                />
              ))}
            </Box>
          )}
          <Box sx={{ display: "flex", gap: 1, alignItems: "flex-end" }}>
            <Field
              label={t("Rotation, ° clockwise")}
              value={index.rotation_deg === "align" ? "aligned to the area" : written(Number(shown.rotation_deg))}
              onSave={async (text) => {
                const rotation = readAngle(text);
                if (rotation === null || Math.abs(rotation) > 180)
                  throw new Error(t("Enter a value from −180 to 180°."));
                onTry({ rotation_deg: rotation === 0 ? null : rotation });
              }}
            />
            <Button
              onClick={() => onTry({ rotation_deg: index.rotation_deg === "align" ? null : "align" })}
              sx={{ flexShrink: 0 }}
            >
              {index.rotation_deg === "align" ? t("No rotation") : t("Align to area")}
            </Button>
          </Box>
          <Box sx={{ display: "flex", gap: 1 }}>
            {(["x", "y"] as const).map((axis) => (
              <Field
                key={axis}
                label={axis === "x" ? t("Column spacing") : t("Row spacing")}
                value={index.spacing?.[axis] ?? ""}
                placeholder={t("by the overlap")}
                onSave={async (text) => {
                  onTry({
                    spacing: {
                      [axis]:
                        text.trim() === ""
                          ? null
                          : length(text, t("Enter a ground length, such as 500 m, or nothing.")),
                    },
                  } as IndexPatch);
                }}
              />
            ))}
          </Box>
        </>
      )}
      <Choice
        label={t("Cells included")}
        value={typeof shown.keep === "number" ? "share" : shown.keep}
        choices={[
          ["touching", t("that touch the area")],
          ["share", t("that contain a share of it")],
          ["all", t("all of the rectangle")],
        ]}
        onChoose={async (value) => onTry({ keep: value === "touching" ? null : value === "share" ? 0.1 : "all" })}
      />
      {typeof index.keep === "number" && (
        <Measured
          label={t("Minimum share of a cell, %")}
          value={Math.round(index.keep * 1000) / 10}
          limits={{ least: 0.1, most: 100 }}
          onSave={async (value) => onTry({ keep: value / 100 })}
        />
      )}
    </>
  );
}

/** How frames follow a line. */
export function StripSettings({ index, onTry }: Trying) {
  const shown = filled(index, defaults.index);
  return (
    <>
      <Measured
        label={t("Clearance beside the line, mm")}
        value={shown.clearance_mm}
        limits={limits.index.clearance_mm}
        onSave={async (clearance_mm) => onTry({ clearance_mm })}
      />
      <Choice
        label={t("Rotation along the strip")}
        value={shown.upward}
        choices={choices.index.upward}
        onChoose={async (upward) => onTry({ upward: upward === "route" ? "route" : null })}
      />
      {index.upward !== "route" && (
        <Measured
          label={t("Maximum rotation, °")}
          value={shown.maximum_rotation_deg}
          limits={limits.index.maximum_rotation_deg}
          onSave={async (maximum_rotation_deg) => onTry({ maximum_rotation_deg })}
        />
      )}
      <Field
        label={t("Gap tolerance")}
        value={shown.gap_tolerance}
        onSave={async (text) => onTry({ gap_tolerance: length(text, t("Enter a ground length, such as 20 m.")) })}
      />
      <FormControlLabel
        control={
          <Checkbox
            size="small"
            checked={shown.reverse}
            onChange={(event) => onTry({ reverse: event.target.checked || null })}
          />
        }
        label={t("Reverse direction")}
      />
    </>
  );
}

const NONE = "";

/** The scale rule and the place of a sheet for each feature. */
export function FeatureSettings({ index, onTry }: Trying) {
  const shown = filled(index, defaults.index);
  const rule: NonNullable<Index["scale_rule"]> = index.scale_rule ?? { kind: "fixed" };
  const shownRule = filled(rule, defaults.index_scale_rule);
  return (
    <>
      <Choice
        label={t("Scale rule")}
        value={rule.kind}
        choices={choices.index_scale_rule.kind.map(([kind, title]) => [
          kind,
          kind === "fixed" ? `${title}, ${ratio(index.scale)}` : title,
        ])}
        onChoose={async (kind) => onTry({ scale_rule: { kind } })}
      />
      {(rule.kind === "fit" || rule.kind === "standard_scales") && (
        <Field
          label={t("Margin")}
          value={shownRule.margin}
          onSave={async (text) => {
            if (!/^\s*\d+(\.\d+)?\s*(%|mm|in|pt)\s*$/.test(text))
              throw new Error(t("Enter a share (10 %) or a width on paper (8 mm)."));
            onTry({ scale_rule: { margin: text.trim() } } as IndexPatch);
          }}
        />
      )}
      {rule.kind === "standard_scales" && (
        <Field
          label={t("Standard scales")}
          value={shownRule.standard_scales.join("; ")}
          multiline
          onSave={async (text) => {
            const scales = text.split(";").map((part) => readScale(part));
            if (scales.some((scale) => scale === null))
              throw new Error(t("Enter scales separated by semicolons, such as 500; 1000; 2500."));
            onTry({ scale_rule: { standard_scales: scales as number[] } } as IndexPatch);
          }}
        />
      )}
      {rule.kind === "field" && (
        <AttributeChoice
          label={t("Scale field")}
          index={index}
          value={rule.field}
          onChoose={(attribute) => onTry({ scale_rule: { field: attribute || null } } as IndexPatch)}
        />
      )}
      <Choice
        label={t("Centred on")}
        value={shown.centre}
        choices={choices.index.centre}
        onChoose={async (centre) => onTry({ centre: centre === "extent" ? null : (centre as "inner") })}
      />
      <FormControlLabel
        control={
          <Checkbox
            size="small"
            checked={shown.several}
            onChange={(event) => onTry({ several: event.target.checked || null })}
          />
        }
        label={t("Several sheets for features larger than the frame")}
      />
      <AttributeChoice
        label={t("Named by")}
        index={index}
        value={index.naming?.field}
        onChoose={(attribute) => onTry({ naming: attribute ? { kind: "field", field: attribute } : null })}
      />
    </>
  );
}

/** Settings of an index from cells that were drawn elsewhere. */
export function LayerSettings({ index, onTry }: Trying) {
  const shown = filled(index, defaults.index);
  return (
    <>
      <AttributeChoice
        label={t("Named by")}
        index={index}
        value={index.naming?.field}
        onChoose={(attribute) => onTry({ naming: attribute ? { kind: "field", field: attribute } : null })}
      />
      <AttributeChoice
        label={t("Scale field")}
        index={index}
        value={index.scale_field}
        none={t("none: %{scale}", { scale: ratio(index.scale) })}
        onChoose={(attribute) => onTry({ scale_field: attribute || null })}
      />
      <AttributeChoice
        label={t("Rotation field")}
        index={index}
        value={index.rotation_field}
        none={t("none: as the shapes are")}
        onChoose={(attribute) => onTry({ rotation_field: attribute || null })}
      />
      {index.rotation_field && (
        <Choice
          label={t("Direction of rotation")}
          value={shown.rotation_sense}
          choices={choices.index.rotation_sense}
          onChoose={async (rotation_sense) => onTry({ rotation_sense })}
        />
      )}
    </>
  );
}

/** An attribute of the study area's first layer. */
export function AttributeChoice({
  label,
  index,
  value,
  none = t("none: their number"),
  onChoose,
}: {
  label: string;
  index: Index;
  value: string | undefined;
  none?: string;
  onChoose: (attribute: string) => void;
}) {
  const names = useAreaAttributes(index.area);
  return (
    <Choice
      label={label}
      value={value && names.includes(value) ? value : NONE}
      choices={[[NONE, none] as const, ...names.map((name) => [name, name] as const)]}
      onChoose={async (name) => onChoose(name)}
    />
  );
}
