// Conditions of the kind that the controls can show, to and from OGC CQL2 JSON.

import type { Attribute } from "../api/useAttributes";
import type { Condition } from "../generated/book";
import { t } from "../texts/t";

export type Cql = Condition;
type Value = string | number | boolean | string[] | [number, number];
export interface Test {
  attribute: string;
  is: string;
  value: Value;
}
export interface Tests {
  all: boolean;
  list: Test[];
}

type Family = "number" | "text" | "date" | "boolean" | "distance";

const FAMILIES: Record<string, Family> = {
  integer: "number",
  real: "number",
  date: "date",
  "date and time": "date",
  boolean: "boolean",
  distance: "distance",
};

export const family = (attribute: Attribute | undefined): Family => FAMILIES[attribute?.type ?? ""] ?? "text";

interface Comparison {
  id: string;
  title: string;
  families: Family[];
  plain?: Condition["op"];
  takes: "one" | "two" | "list" | "none";
}

const ANY: Family[] = ["number", "text", "date", "boolean"];

export const COMPARISONS: Comparison[] = [
  { id: "=", title: t("is"), families: ["number", "text", "date"], plain: "=", takes: "one" },
  { id: "<>", title: t("is not"), families: ["number", "text", "date"], plain: "<>", takes: "one" },
  { id: "<", title: t("is less than"), families: ["number"], plain: "<", takes: "one" },
  { id: "<=", title: t("is at most"), families: ["number"], plain: "<=", takes: "one" },
  { id: ">", title: t("is more than"), families: ["number"], plain: ">", takes: "one" },
  { id: ">=", title: t("is at least"), families: ["number"], plain: ">=", takes: "one" },
  { id: "between", title: t("is between"), families: ["number"], takes: "two" },
  { id: "before", title: t("is before"), families: ["date"], plain: "<", takes: "one" },
  { id: "from", title: t("is on or after"), families: ["date"], plain: ">=", takes: "one" },
  { id: "starts", title: t("begins with"), families: ["text"], takes: "one" },
  { id: "holds", title: t("contains"), families: ["text"], takes: "one" },
  { id: "in", title: t("is one of"), families: ["text"], takes: "list" },
  { id: "yes", title: t("is yes"), families: ["boolean"], takes: "none" },
  { id: "no", title: t("is no"), families: ["boolean"], takes: "none" },
  { id: "same", title: t("is the sheet’s feature’s"), families: ["number", "text", "date"], takes: "one" },
  { id: "within", title: t("is at most, m"), families: ["distance"], takes: "one" },
  { id: "missing", title: t("has no value"), families: ANY, takes: "none" },
  { id: "there", title: t("has a value"), families: ANY, takes: "none" },
];

export const comparison = (id: string) => COMPARISONS.find((known) => known.id === id)!;

const escaped = (text: string) => text.replace(/[\\%_]/g, "\\$&");

function testToCql(test: Test, attributes: Attribute[]): Cql {
  const property = { property: test.attribute };
  const kind = family(attributes.find((known) => known.name === test.attribute));
  const known = comparison(test.is);
  if (attributes.some((entry) => entry.name === test.attribute && entry.asked)) return askedToCql(test);
  switch (test.is) {
    case "same":
      return { op: "=", args: [property, { property: `${OF_FEATURE}${String(test.value)}` }] };
    case "between":
      return { op: "between", args: [property, ...(test.value as number[])] };
    case "starts":
      return { op: "like", args: [property, `${escaped(String(test.value))}%`] };
    case "holds":
      return {
        op: "like",
        args: [{ op: "casei", args: [property] }, `%${escaped(String(test.value).toLowerCase())}%`],
      };
    case "in":
      return { op: "in", args: [property, test.value] };
    case "yes":
      return { op: "=", args: [property, true] };
    case "no":
      return { op: "=", args: [property, false] };
    case "missing":
      return { op: "isNull", args: [property] };
    case "there":
      return { op: "not", args: [{ op: "isNull", args: [property] }] };
    default:
      return { op: known.plain!, args: [property, kind === "date" ? { date: test.value } : test.value] };
  }
}

// Before the names of the fields of the feature that a sheet is of.
const OF_FEATURE = "sheet.feature.";

// A function of the condition.
function askedToCql(test: Test): Cql {
  const op = test.attribute as Condition["op"];
  if (test.is === "within") return { op, args: [Number(test.value)] };
  const asked: Cql = { op, args: [] };
  return test.is === "no" ? { op: "not", args: [asked] } : asked;
}

function askedFrom(node: Cql, attributes: Attribute[]): Test | null {
  const inner = node.op === "not" ? (node.args[0] as Cql) : node;
  if (!attributes.some((known) => known.name === inner?.op && known.asked)) return null;
  const [metres] = inner.args ?? [];
  if (typeof metres === "number")
    return node.op === "not" ? null : { attribute: inner.op, is: "within", value: metres };
  return { attribute: inner.op, is: node.op === "not" ? "no" : "yes", value: "" };
}

/** One test stands for itself; several are joined by and, or. */
export function toCql(tests: Tests, attributes: Attribute[]): Cql | undefined {
  const parts = tests.list.map((test) => testToCql(test, attributes));
  return parts.length <= 1 ? parts[0] : { op: tests.all ? "and" : "or", args: parts };
}

const nameOf = (part: unknown) => (part as { property?: string } | null)?.property;

function testFrom(node: Cql, attributes: Attribute[]): Test | null {
  const asked = askedFrom(node, attributes);
  if (asked) return asked;
  const [first, second, third] = node.args ?? [];
  const attribute = nameOf(first);
  const other = nameOf(second);
  if (attribute && node.op === "=" && other?.startsWith(OF_FEATURE))
    return { attribute, is: "same", value: other.slice(OF_FEATURE.length) };
  if (node.op === "not") {
    const inner = first as Cql;
    const name = inner?.op === "isNull" ? nameOf(inner.args[0]) : undefined;
    return name ? { attribute: name, is: "there", value: "" } : null;
  }
  if (node.op === "like" && typeof second === "string") return patternFrom(first, second);
  if (!attribute) return null;
  if (node.op === "isNull") return { attribute, is: "missing", value: "" };
  if (node.op === "between" && typeof second === "number" && typeof third === "number")
    return { attribute, is: "between", value: [second, third] };
  if (node.op === "in" && Array.isArray(second) && second.every((part) => typeof part === "string"))
    return { attribute, is: "in", value: second as string[] };
  if (node.op === "=" && typeof second === "boolean") return { attribute, is: second ? "yes" : "no", value: "" };
  const kind = family(attributes.find((known) => known.name === attribute));
  const date = (second as { date?: string } | null)?.date;
  const known = COMPARISONS.find((entry) => entry.plain === node.op && entry.families.includes(kind));
  const value = kind === "date" ? date : second;
  return known && (typeof value === "string" || typeof value === "number") ? { attribute, is: known.id, value } : null;
}

function patternFrom(first: unknown, pattern: string): Test | null {
  const plain = (text: string) => (/(^|[^\\])[%_]/.test(text) ? null : text.replace(/\\(.)/g, "$1"));
  const inner = first as { op?: string; args: unknown[] } | null;
  const holds = inner?.op === "casei" ? nameOf(inner.args[0]) : undefined;
  const part =
    holds && pattern.length > 1 && pattern.startsWith("%") && pattern.endsWith("%")
      ? plain(pattern.slice(1, -1))
      : null;
  if (holds && part !== null) return { attribute: holds, is: "holds", value: part };
  const start = nameOf(first) && pattern.endsWith("%") ? plain(pattern.slice(0, -1)) : null;
  return start !== null ? { attribute: nameOf(first)!, is: "starts", value: start } : null;
}

/** null for a condition that the controls cannot show. */
export function fromCql(condition: unknown, attributes: Attribute[]): Tests | null {
  if (condition === undefined || condition === null) return { all: true, list: [] };
  const node = condition as Cql;
  const parts = node.op === "and" || node.op === "or" ? (node.args as Cql[]) : [node];
  const list = parts.map((part) => testFrom(part, attributes));
  return list.every((test) => test !== null) ? { all: node.op !== "or", list: list as Test[] } : null;
}

/** In words, for a title or a note. */
export function inWords(condition: unknown, attributes: Attribute[]): string {
  const tests = fromCql(condition, attributes);
  if (!tests) return t("a condition in CQL2");
  return tests.list
    .map((test) =>
      [
        attributes.find((known) => known.name === test.attribute)?.title ?? test.attribute,
        comparison(test.is).title,
        ...(comparison(test.is).takes === "none" ? [] : [valueInWords(test.value)]),
      ].join(" "),
    )
    .join(tests.all ? " and " : " or ");
}

const valueInWords = (value: Value) =>
  Array.isArray(value) ? value.join(typeof value[0] === "number" ? " and " : ", ") : String(value);
