import AddIcon from "@mui/icons-material/Add";
import RemoveIcon from "@mui/icons-material/Remove";
import { Box, Button, IconButton, MenuItem, TextField, Typography } from "@mui/material";
import { useEffect, useRef, useState } from "react";
import { comparison, COMPARISONS, family, fromCql, toCql, type Cql, type Test, type Tests } from "./conditions";
import { readNumber } from "../numbers/read";
import type { Attribute } from "../api/useAttributes";
import { t } from "../texts/t";

interface ConditionEditorProps {
  // What the condition is about, for those who cannot see the place.
  about: string;
  attributes: Attribute[];
  condition: unknown;
  onSave: (condition: Cql | undefined) => Promise<unknown>;
}

/** A condition on attributes, built from controls: each row a test, all of them or any. */
export function ConditionEditor({ about, attributes, condition, onSave }: ConditionEditorProps) {
  const kept = fromCql(condition, attributes);
  const [draft, setDraft] = useState<Tests | null>(kept);
  const [problem, setProblem] = useState<string | null>(null);
  const key = JSON.stringify(condition ?? null);
  // What was sent last: a draft that has gone on since stays when the answer comes.
  const sent = useRef<Tests | null>(null);
  useEffect(() => {
    const mine = sent.current;
    sent.current = null;
    setDraft((draft) => (mine && draft !== mine ? draft : fromCql(condition, attributes)));
    setProblem(null);
  }, [key, attributes]); // eslint-disable-line react-hooks/exhaustive-deps
  const put = async (tests: Tests) => {
    setDraft(tests);
    if (!tests.list.every(complete)) return;
    try {
      setProblem(null);
      sent.current = tests;
      await onSave(toCql(tests, attributes));
    } catch (error) {
      setProblem((error as Error).message);
    }
  };
  if (!draft) {
    return (
      <Box sx={{ fontSize: 12.5 }}>
        <Typography sx={{ fontSize: 12.5, color: "text.secondary" }}>{t("A condition in CQL2:")}</Typography>
        <Box component="pre" sx={{ m: 0, fontSize: 11.5, whiteSpace: "pre-wrap", overflowWrap: "anywhere" }}>
          {JSON.stringify(condition)}
        </Box>
        <Button onClick={() => void put({ all: true, list: [] })}>{t("Start again")}</Button>
      </Box>
    );
  }
  const change = (index: number, patch: Partial<Test>) =>
    put({ ...draft, list: draft.list.map((test, place) => (place === index ? { ...test, ...patch } : test)) });
  const first = attributes[0];
  return (
    <Box
      role="group"
      aria-label={t("Condition of %{about}", { about })}
      sx={{ display: "grid", gridTemplateColumns: "minmax(0, 1fr)", gap: 0.75 }}
    >
      {draft.list.length > 1 && (
        <TextField
          select
          value={draft.all ? "all" : "any"}
          onChange={(event) => void put({ ...draft, all: event.target.value === "all" })}
          slotProps={{ htmlInput: { "aria-label": t("How the conditions of %{about} combine", { about }) } }}
        >
          <MenuItem value="all">{t("all of these")}</MenuItem>
          <MenuItem value="any">{t("any of these")}</MenuItem>
        </TextField>
      )}
      {draft.list.map((test, index) => (
        <TestRow
          key={index}
          test={test}
          attributes={attributes}
          about={t("%{about}, condition %{value}", { about, value: index + 1 })}
          onChange={(patch) => void change(index, patch)}
          onRemove={() => void put({ ...draft, list: draft.list.filter((_, place) => place !== index) })}
        />
      ))}
      {problem && (
        <Typography role="alert" sx={{ color: "error.main", fontSize: 12.5 }}>
          {problem}
        </Typography>
      )}
      {first && (
        <Button
          startIcon={<AddIcon />}
          sx={{ justifySelf: "start" }}
          onClick={() =>
            void put({
              ...draft,
              list: [
                ...draft.list,
                {
                  attribute: first.name,
                  is: COMPARISONS.find((known) => known.families.includes(family(first)))!.id,
                  value: "",
                },
              ],
            })
          }
        >
          {t("Condition")}
        </Button>
      )}
    </Box>
  );
}

// Is there enough to ask with?
function complete(test: Test): boolean {
  const takes = comparison(test.is).takes;
  if (takes === "none") return true;
  if (takes === "two")
    return (
      Array.isArray(test.value) &&
      test.value.length === 2 &&
      test.value.every((part) => typeof part === "number" && Number.isFinite(part))
    );
  if (takes === "list") return Array.isArray(test.value) && test.value.length > 0;
  return test.value !== "";
}

function TestRow({
  test,
  attributes,
  about,
  onChange,
  onRemove,
}: {
  test: Test;
  attributes: Attribute[];
  about: string;
  onChange: (patch: Partial<Test>) => void;
  onRemove: () => void;
}) {
  const attribute = attributes.find((known) => known.name === test.attribute);
  const fitting = COMPARISONS.filter((known) => known.families.includes(family(attribute)));
  const pick = (name: string) => {
    const next = attributes.find((known) => known.name === name);
    const same = comparison(test.is).families.includes(family(next));
    onChange({
      attribute: name,
      ...(same ? {} : { is: COMPARISONS.find((known) => known.families.includes(family(next)))!.id, value: "" }),
    });
  };
  return (
    <Box
      sx={{ display: "grid", gridTemplateColumns: "minmax(0, 1fr) minmax(0, 1fr) 28px", gap: 0.75, alignItems: "end" }}
    >
      <TextField
        select
        value={attribute ? test.attribute : ""}
        onChange={(event) => pick(event.target.value)}
        slotProps={{ htmlInput: { "aria-label": t("Attribute of %{about}", { about }) } }}
      >
        {attributes.map((known) => (
          <MenuItem key={known.name} value={known.name}>
            {known.title ?? known.name}
          </MenuItem>
        ))}
      </TextField>
      <TextField
        select
        value={test.is}
        onChange={(event) =>
          onChange({
            is: event.target.value,
            ...(comparison(event.target.value).takes === comparison(test.is).takes ? {} : { value: "" }),
          })
        }
        slotProps={{ htmlInput: { "aria-label": t("Comparison of %{about}", { about }) } }}
      >
        {fitting.map((known) => (
          <MenuItem key={known.id} value={known.id}>
            {known.title}
          </MenuItem>
        ))}
      </TextField>
      <IconButton size="small" aria-label={t("Remove %{about}", { about })} onClick={onRemove}>
        <RemoveIcon sx={{ fontSize: 16 }} />
      </IconButton>
      {comparison(test.is).takes !== "none" && (
        <ValueField
          test={test}
          numeric={["number", "distance"].includes(family(attribute)) && test.is !== "same"}
          date={family(attribute) === "date" && test.is !== "same"}
          about={about}
          onChange={(value) => onChange({ value })}
        />
      )}
    </Box>
  );
}

function ValueField({
  test,
  numeric,
  date,
  about,
  onChange,
}: {
  test: Test;
  numeric: boolean;
  date: boolean;
  about: string;
  onChange: (value: Test["value"]) => void;
}) {
  const takes = comparison(test.is).takes;
  const shown = Array.isArray(test.value) ? test.value.join(takes === "two" ? " – " : ", ") : String(test.value);
  const [text, setText] = useState(shown);
  const [wrong, setWrong] = useState<string | null>(null);
  useEffect(() => setText(shown), [shown]);
  const keep = () => {
    if (text === shown) return;
    const read = readValue(text, takes, numeric, date);
    setWrong(read === null ? expected(takes, numeric, date) : null);
    if (read !== null) onChange(read);
  };
  return (
    <TextField
      sx={{ gridColumn: "1 / 3" }}
      value={text}
      error={!!wrong}
      helperText={wrong}
      placeholder={expected(takes, numeric, date)}
      onChange={(event) => setText(event.target.value)}
      onBlur={keep}
      onKeyDown={(event) => {
        if (event.key === "Enter") {
          event.preventDefault();
          keep();
        }
      }}
      slotProps={{ htmlInput: { "aria-label": t("Value of %{about}", { about }) }, formHelperText: { role: "alert" } }}
    />
  );
}

function expected(takes: string, numeric: boolean, date: boolean): string {
  if (takes === "two") return t("two numbers, such as 5 – 10");
  if (takes === "list") return t("values separated by commas");
  if (date) return t("a date, such as 2026-04-01");
  return numeric ? t("a number") : "text";
}

// "5 – 10", "5-10", "-5 to -3"
const SPAN = /^(.+?)\s*(?:–|—|;|\bto\b|(?<=[\d\s])-)\s*(.+)$/;

function readValue(text: string, takes: string, numeric: boolean, date: boolean): Test["value"] | null {
  if (takes === "list")
    return text
      .split(",")
      .map((part) => part.trim())
      .filter((part) => part !== "");
  if (takes === "two") {
    const halves = SPAN.exec(text.trim());
    const [low, high] = [readNumber(halves?.[1] ?? ""), readNumber(halves?.[2] ?? "")];
    return low === null || high === null ? null : [low, high];
  }
  if (date) return /^\d{4}-\d{2}-\d{2}$/.test(text.trim()) ? text.trim() : null;
  if (!numeric) return text.trim() === "" ? null : text.trim();
  return readNumber(text);
}
