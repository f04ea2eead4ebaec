import { Box, Button, MenuItem, TextField, Typography } from "@mui/material";
import { useState } from "react";
import { useBook } from "../api/book";
import { get } from "../api/client";
import type { Layer, MapSymbol, Rule } from "../api/types";
import { isNumber, type Attribute } from "../api/useAttributes";
import type { Condition } from "../generated/book";
import { RuleFields, type Making } from "./RuleFields";
import { RAMPS, SETS, colours } from "../fields/palettes";
import type { ClassFound } from "../generated/answers";
import { t } from "../texts/t";

type Put = (label: string, layer: Layer) => Promise<unknown>;

const HOW = [
  ["one", t("one symbol for all")],
  ["conditions", t("by conditions")],
  ["values", t("a symbol for each value")],
  ["classes", t("by classes of a number")],
] as const;

/** Makes the rules of a layer: one symbol, by conditions of one's own, one for each value, by classes. */
export function RuleMaker({ layer, attributes, put }: { layer: Layer; attributes: Attribute[]; put: Put }) {
  const book = useBook();
  const first = (layer.rules ?? [])[0]!.symbol;
  const numbers = attributes.filter(isNumber);
  const [how, setHow] = useState<string | null>(null);
  const [making, setMaking] = useState<Making>({
    attribute: "",
    way: "natural",
    count: 5,
    palette: "YlGnBu",
    reversed: false,
  });
  const { attribute, way, count, palette, reversed } = making;
  const [problem, setProblem] = useState<string | null>(null);
  const base = `/api/books/${book.id}/layers/${layer.id}`;
  const from = how === "classes" ? numbers : attributes;
  const chosen = from.some((known) => known.name === attribute) ? attribute : (from[0]?.name ?? "");
  const attempt = async (work: () => Promise<unknown>) => {
    setProblem(null);
    try {
      await work();
      setHow(null);
    } catch (error) {
      setProblem((error as Error).message);
    }
  };
  const one = () =>
    put(`One symbol for ${layer.title}`, { ...layer, match: "first", rules: [{ title: layer.title, symbol: first }] });
  const byValue = async () => {
    const values = (
      await get<{ value: string | number | boolean | null }[]>(`${base}/values?attribute=${encodeURIComponent(chosen)}`)
    ).filter((entry) => entry.value !== null);
    const set = colours(SETS.includes(palette) ? palette : "Dark2", values.length, reversed);
    const rules: Rule[] = values.map((entry, index) => ({
      title: String(entry.value),
      when: {
        op: "=",
        args: [
          { property: chosen },
          valueOf(
            entry.value,
            attributes.find((known) => known.name === chosen),
          ),
        ],
      },
      symbol: coloured(first, set[index]!),
    }));
    await put(`${layer.title} by ${chosen}`, {
      ...layer,
      match: "first",
      rules: [...rules, { title: t("others"), symbol: first }],
    });
  };
  const byClass = async () => {
    const found = await get<ClassFound[]>(
      `${base}/classes?${new URLSearchParams({ attribute: chosen, way, count: String(count) })}`,
    );
    const ramp = colours(RAMPS.includes(palette) ? palette : "YlGnBu", found.length, reversed);
    await put(`${layer.title} by classes of ${chosen}`, {
      ...layer,
      match: "first",
      rules: found.map((entry, index) => ({
        title: entry.title,
        when: entry.when as Condition,
        symbol: coloured(first, ramp[index]!),
      })),
    });
  };
  const byCondition = () =>
    put(`Conditions for ${layer.title}`, {
      ...layer,
      rules: [...(layer.rules ?? []).filter((rule) => rule.when), { title: t("others"), symbol: first }],
    });
  const choose = (value: string) => {
    setProblem(null);
    if (value === "one") return void attempt(one);
    if (value === "conditions") return void attempt(byCondition);
    setHow(value);
  };
  return (
    <Box sx={{ display: "grid", gridTemplateColumns: "minmax(0, 1fr)", gap: 1, mt: 0.5 }}>
      <TextField
        select
        fullWidth
        label={t("Drawn with")}
        value={how ?? kindOf(layer)}
        onChange={(event) => choose(event.target.value)}
      >
        {HOW.map(([value, title]) => (
          <MenuItem
            key={value}
            value={value}
            disabled={(value === "values" && attributes.length === 0) || (value === "classes" && numbers.length === 0)}
          >
            {title}
          </MenuItem>
        ))}
      </TextField>
      {(how === "values" || how === "classes") && (
        <Box
          component="form"
          aria-label={t("New rules")}
          onSubmit={(event) => {
            event.preventDefault();
            void attempt(how === "values" ? byValue : byClass);
          }}
          sx={{
            display: "grid",
            gridTemplateColumns: "minmax(0, 1fr) minmax(0, 1fr)",
            gap: 1,
            p: 1,
            border: 1,
            borderColor: "divider",
          }}
        >
          <RuleFields how={how} from={from} attribute={chosen} making={making} onMaking={setMaking} />
          <Box sx={{ display: "flex", gap: 0.5, justifyContent: "flex-end", alignItems: "center" }}>
            <Button color="inherit" onClick={() => setHow(null)}>
              {t("Cancel")}
            </Button>
            <Button type="submit" variant="contained">
              {t("Make")}
            </Button>
          </Box>
        </Box>
      )}
      {problem && (
        <Typography role="alert" sx={{ color: "error.main", fontSize: 12.5 }}>
          {problem}
        </Typography>
      )}
    </Box>
  );
}

// How a layer's rules tell features apart, as far as it can be seen from them.
function kindOf(layer: Layer): string {
  const asked = (layer.rules ?? []).filter((rule) => rule.when);
  if (asked.length === 0) return "one";
  const of = (rule: Rule, op: string) => (rule.when as { op?: string }).op === op;
  const property = (rule: Rule) => JSON.stringify((rule.when as { args: unknown[] }).args[0]);
  if (asked.every((rule) => of(rule, "=") && property(rule) === property(asked[0]!))) return "values";
  const bounds = (rule: Rule) => (rule.when as { args: { op?: string }[] }).args.map((part) => part?.op).join();
  return asked.every((rule) => of(rule, "and") && /^>=,<=?$/.test(bounds(rule))) ? "classes" : "conditions";
}

const valueOf = (value: unknown, attribute: Attribute | undefined) =>
  attribute?.type.startsWith("date") ? { date: value } : value;

function coloured(symbol: MapSymbol, colour: string): MapSymbol {
  const strokes = symbol.strokes?.map((stroke, index, list) =>
    symbol.fill || index < list.length - 1 ? stroke : { ...stroke, colour },
  );
  return {
    ...symbol,
    ...(strokes && { strokes }),
    ...(symbol.fill && { fill: { colour, opacity: 1 } }),
    ...(symbol.marker && { marker: { ...symbol.marker, colour } }),
  };
}
