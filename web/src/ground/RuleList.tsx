import AddIcon from "@mui/icons-material/Add";
import { Box, Button } from "@mui/material";
import type { Layer, LayerInfo, Rule } from "../api/types";
import { Choice } from "../fields/Choice";
import { Field } from "../fields/Field";
import { ConditionEditor } from "../fields/ConditionEditor";
import { inWords } from "../fields/conditions";
import { useFeatureAttributes } from "../fields/sheetConditions";
import { RuleRow } from "../fields/RuleRow";
import { Swatch } from "../symbols/Swatch";
import { SymbolEditor } from "../symbols/SymbolEditor";
import type { Attribute } from "../api/useAttributes";
import { filled } from "../fields/filled";
import { choices } from "../generated/choices";
import { defaults } from "../generated/defaults";
import { useOpenRule } from "../fields/useOpenRule";
import { t } from "../texts/t";

type Put = (label: string, layer: Layer) => Promise<unknown>;

/** The rules of a layer in their order; one at a time is open to be edited. */
export function RuleList({
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
  const shown = filled(layer, defaults.layer);
  const asking = useFeatureAttributes(attributes);
  const rules = layer.rules ?? [];
  const kind = info && info.kind !== "pixels" ? info.kind : "mixed";
  const keep = (fresh: Rule[], label = `Style of ${layer.title}`) => put(label, { ...layer, rules: fresh });
  const change = (index: number, rule: Rule) => keep(rules.map((known, place) => (place === index ? rule : known)));
  const { open, setOpen, move } = useOpenRule(rules, (fresh) => keep(fresh, `Order of the rules of ${layer.title}`));
  const add = () => {
    const attribute = attributes[0];
    const rule: Rule = {
      title: t("New rule"),
      symbol: rules[0]!.symbol,
      ...(attribute && { when: { op: "not", args: [{ op: "isNull", args: [{ property: attribute.name }] }] } }),
    };
    void keep([rule, ...rules], `Rule for ${layer.title}`).then(() => setOpen(0));
  };
  if (rules.length === 1 && !rules[0]!.when) {
    return (
      <SymbolEditor
        symbol={rules[0]!.symbol}
        kind={kind}
        name={layer.title}
        onSave={(symbol) => change(0, { ...rules[0]!, symbol })}
      />
    );
  }
  return (
    <Box>
      <Box sx={{ display: "grid", mb: 0.5 }}>
        <Choice
          label={t("A feature is drawn by")}
          value={shown.match}
          choices={choices.layer.match}
          onChoose={(match) => put(`Rules of ${layer.title}`, { ...layer, match })}
        />
      </Box>
      <Box
        component="ol"
        aria-label={t("Rules of %{title}", { title: layer.title })}
        sx={{ m: 0, p: 0, listStyle: "none" }}
      >
        {rules.map((rule, index) => (
          <Box component="li" key={index} sx={{ borderBottom: 1, borderColor: "divider" }}>
            <RuleRow
              title={rule.title || inWords(rule.when, asking) || t("all")}
              name={`rule ${rule.title}`}
              removes={t("Remove rule %{title}", { title: rule.title })}
              index={index}
              count={rules.length}
              open={open === index}
              before={<Swatch svg={info?.swatches[index] ?? "<svg xmlns='http://www.w3.org/2000/svg'/>"} />}
              onOpen={() => setOpen(open === index ? -1 : index)}
              onMove={(by) => move(index, by)}
              onRemove={
                rules.length === 1
                  ? undefined
                  : () => {
                      setOpen(-1);
                      void keep(rules.filter((_, place) => place !== index));
                    }
              }
            />
            {open === index && (
              <Box
                sx={{
                  display: "grid",
                  gridTemplateColumns: "minmax(0, 1fr)",
                  gap: 1.25,
                  pb: 1.5,
                  pl: 1,
                  borderLeft: 2,
                  borderColor: "thread.main",
                }}
              >
                <Field label={t("Title")} value={rule.title} onSave={(title) => change(index, { ...rule, title })} />
                <Box sx={{ fontSize: 12.5, color: "text.secondary", mb: -0.75 }}>
                  {rule.when ? t("For features where") : t("All remaining features")}
                </Box>
                <ConditionEditor
                  about={t("rule %{value}", { value: index + 1 })}
                  attributes={asking}
                  condition={rule.when}
                  onSave={(when) => change(index, { title: rule.title, symbol: rule.symbol, ...(when && { when }) })}
                />
                <SymbolEditor
                  symbol={rule.symbol}
                  kind={kind}
                  name={rule.title || `rule ${index + 1}`}
                  onSave={(symbol) => change(index, { ...rule, symbol })}
                />
              </Box>
            )}
          </Box>
        ))}
      </Box>
      <Button startIcon={<AddIcon />} onClick={add}>
        {t("Rule on top")}
      </Button>
    </Box>
  );
}
