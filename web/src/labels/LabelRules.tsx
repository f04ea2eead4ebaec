import AddIcon from "@mui/icons-material/Add";
import { Box, Button } from "@mui/material";
import type { LabelRule, Layer, LayerInfo } from "../api/types";
import type { Attribute } from "../api/useAttributes";
import { Choice } from "../fields/Choice";
import { filled } from "../fields/filled";
import { RuleRow } from "../fields/RuleRow";
import { without } from "../fields/without";
import { defaults } from "../generated/defaults";
import { LabelRuleFields } from "./LabelRuleFields";
import { useOpenRule } from "../fields/useOpenRule";
import { choices } from "../generated/choices";
import { t } from "../texts/t";

type Put = (label: string, layer: Layer) => Promise<unknown>;

// What a rule is called where it has no title.
const titleOf = (rule: LabelRule) => rule.title || rule.field || rule.text?.split("\n")[0] || t("no text");

/** The label rules of a layer in their order; one at a time is open to be edited. */
export function LabelRules({
  layer,
  info,
  attributes,
  put,
}: {
  layer: Layer;
  info: LayerInfo | undefined;
  attributes: Attribute[];
  put: Put;
}) {
  const rules = layer.labels ?? [];
  const shown = filled(layer, defaults.layer);
  const keep = (fresh: LabelRule[], label = `Labels of ${layer.title}`) =>
    put(label, fresh.length ? { ...layer, labels: fresh } : without(layer, "labels"));
  const { open, setOpen, move } = useOpenRule(rules, (fresh) => keep(fresh, `Order of the labels of ${layer.title}`));
  const field =
    attributes.find((known) => known.name.toLowerCase() === "name") ??
    attributes.find((known) => known.type === "text") ??
    attributes[0];
  const add = () => {
    if (!field) return;
    void keep([...rules, { field: field.name }]).then(() => setOpen(rules.length));
  };
  const kind = info && info.kind !== "pixels" ? info.kind : "mixed";
  return (
    <Box sx={{ display: "grid", gridTemplateColumns: "minmax(0, 1fr)", gap: 1 }}>
      {rules.length > 1 && (
        <Choice
          label={t("A feature has the labels of")}
          value={shown.label_match}
          choices={choices.layer.label_match}
          onChoose={(label_match) => put(`Labels of ${layer.title}`, { ...layer, label_match })}
        />
      )}
      {rules.length > 0 && (
        <Box
          component="ol"
          aria-label={t("Labels of %{title}", { title: layer.title })}
          sx={{ m: 0, p: 0, listStyle: "none" }}
        >
          {rules.map((rule, index) => (
            <Box component="li" key={index} sx={{ borderBottom: 1, borderColor: "divider" }}>
              <RuleRow
                title={titleOf(rule)}
                name={`label rule ${index + 1}`}
                removes={t("Remove label rule %{value}", { value: index + 1 })}
                index={index}
                count={rules.length}
                open={open === index}
                onOpen={() => setOpen(open === index ? -1 : index)}
                onMove={(by) => move(index, by)}
                onRemove={() => {
                  setOpen(-1);
                  void keep(rules.filter((_, place) => place !== index));
                }}
              />
              {open === index && (
                <Box sx={{ pb: 1.5, pl: 1, borderLeft: 2, borderColor: "thread.main" }}>
                  <LabelRuleFields
                    rule={rule}
                    kind={kind}
                    attributes={attributes}
                    about={t("labels of %{title}, rule %{value}", { title: layer.title, value: index + 1 })}
                    onSave={(fresh) => keep(rules.map((known, place) => (place === index ? fresh : known)))}
                  />
                </Box>
              )}
            </Box>
          ))}
        </Box>
      )}
      {rules.length > 0 && (
        <Box sx={{ fontSize: 12.5, color: "text.secondary" }}>{t("Zoom in on the map to see the labels on it.")}</Box>
      )}
      <Box>
        <Button startIcon={<AddIcon />} onClick={add} disabled={!field}>
          {rules.length === 0 ? t("Label the features") : t("Further label rule")}
        </Button>
      </Box>
      <Choice
        label={t("Labels and the layer’s symbols")}
        value={avoidanceKey(layer.avoidance)}
        choices={[
          ["", kind === "point" || kind === "mixed" ? t("never over its markers") : t("may stand over its symbols")],
          ["100", t("never over its symbols")],
          ["40", t("over its symbols only if necessary")],
          ["0", t("may stand over its symbols, markers too")],
        ]}
        onChoose={(key) =>
          put(
            `Labels and symbols of ${layer.title}`,
            key === "" ? without(layer, "avoidance") : { ...layer, avoidance: Number(key) },
          )
        }
      />
    </Box>
  );
}

// The choice that a number falls under.
const avoidanceKey = (avoidance: number | undefined) =>
  avoidance === undefined ? "" : avoidance >= 100 ? "100" : avoidance > 0 ? "40" : "0";
