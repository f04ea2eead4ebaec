import { Box, Button, Checkbox, FormControlLabel, MenuItem, TextField, Typography } from "@mui/material";
import { useState } from "react";
import { useBook } from "../api/book";
import { get } from "../api/client";
import type { Layer, MapSymbol, Rule } from "../api/types";
import { colours, RAMPS, SETS } from "./palettes";
import { isNumber, type Attribute } from "../api/useAttributes";

type Put = (label: string, layer: Layer) => Promise<unknown>;

const WAYS = [
  ["equal", "equal widths"],
  ["quantile", "equal counts"],
  ["natural", "natural breaks (Jenks)"],
  ["round", "round numbers"],
] as const;
const HOW = [
  ["one", "one symbol for all"],
  ["values", "a symbol for each value"],
  ["classes", "by classes of a number"],
  ["conditions", "by conditions"],
] as const;

interface ClassFound {
  title: string;
  count: number;
  when: unknown;
}

// Makes the rules of a layer: one symbol, one for each value, by classes, by conditions of one's own.
export function RuleMaker({ layer, attributes, put }: { layer: Layer; attributes: Attribute[]; put: Put }) {
  const book = useBook();
  const first = layer.rules[0]!.symbol;
  const numbers = attributes.filter(isNumber);
  const [how, setHow] = useState<string | null>(null);
  const [attribute, setAttribute] = useState("");
  const [way, setWay] = useState("natural");
  const [count, setCount] = useState(5);
  const [palette, setPalette] = useState("YlGnBu");
  const [reversed, setReversed] = useState(false);
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
      rules: [...rules, { title: "others", symbol: first }],
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
        when: entry.when,
        symbol: coloured(first, ramp[index]!),
      })),
    });
  };
  const byCondition = () =>
    put(`Conditions for ${layer.title}`, {
      ...layer,
      rules: [...layer.rules.filter((rule) => rule.when), { title: "others", symbol: first }],
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
        label="Drawn with"
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
          aria-label="Rules to make"
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
          <TextField
            select
            label="Attribute"
            value={chosen}
            onChange={(event) => setAttribute(event.target.value)}
            sx={{ gridColumn: how === "values" ? "1 / -1" : undefined }}
          >
            {from.map((known) => (
              <MenuItem key={known.name} value={known.name}>
                {known.name}
              </MenuItem>
            ))}
          </TextField>
          {how === "classes" && (
            <>
              <TextField
                label="Classes"
                type="number"
                value={count}
                onChange={(event) => setCount(Number(event.target.value))}
                slotProps={{ htmlInput: { min: 1, max: 12 } }}
              />
              <TextField
                select
                label="Class breaks"
                value={way}
                onChange={(event) => setWay(event.target.value)}
                sx={{ gridColumn: "1 / -1" }}
              >
                {WAYS.map(([value, title]) => (
                  <MenuItem key={value} value={value}>
                    {title}
                  </MenuItem>
                ))}
              </TextField>
            </>
          )}
          <TextField
            select
            label="Colours"
            value={
              (how === "values" ? SETS : RAMPS).includes(palette) ? palette : how === "values" ? "Dark2" : "YlGnBu"
            }
            onChange={(event) => setPalette(event.target.value)}
            sx={{ gridColumn: "1 / -1" }}
          >
            {(how === "values" ? SETS : RAMPS).map((name) => (
              <MenuItem key={name} value={name}>
                <Ramp name={name} count={how === "values" ? 6 : count} reversed={reversed} />
              </MenuItem>
            ))}
          </TextField>
          <FormControlLabel
            control={
              <Checkbox size="small" checked={reversed} onChange={(event) => setReversed(event.target.checked)} />
            }
            label="reversed"
          />
          <Box sx={{ display: "flex", gap: 0.5, justifyContent: "flex-end", alignItems: "center" }}>
            <Button color="inherit" onClick={() => setHow(null)}>
              Cancel
            </Button>
            <Button type="submit" variant="contained">
              Make
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

function Ramp({ name, count, reversed }: { name: string; count: number; reversed: boolean }) {
  const list = colours(name, Math.min(Math.max(count || 3, 2), 12), reversed);
  return (
    <Box sx={{ display: "flex", alignItems: "center", gap: 1 }}>
      <Box aria-hidden sx={{ display: "flex" }}>
        {list.map((colour, index) => (
          <Box key={index} sx={{ width: 108 / list.length, height: 16, bgcolor: colour }} />
        ))}
      </Box>
      <span>{name}</span>
    </Box>
  );
}

// How a layer's rules tell features apart, as far as it can be seen from them.
export function kindOf(layer: Layer): string {
  const asked = layer.rules.filter((rule) => rule.when);
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
