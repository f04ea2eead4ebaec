// What numbers of the book document may be, out of the JSON Schema (on standard input): the limits of each number of a
// part by the part's name, those of a part within it by both names.
import { json } from "node:stream/consumers";
import { format } from "prettier";

const schema = await json(process.stdin);
const found = {};

const target = (node) => (node.$ref ? target(schema.$defs[node.$ref.replace("#/$defs/", "")]) : node);

function limitsOf(node) {
  const { type, minimum, exclusiveMinimum, maximum } = target(node);
  if (type !== "number" && type !== "integer") return undefined;
  return {
    ...(minimum === undefined ? {} : { least: minimum }),
    ...(exclusiveMinimum === undefined ? {} : { above: exclusiveMinimum }),
    ...(maximum === undefined ? {} : { most: maximum }),
    ...(type === "integer" ? { whole: true } : {}),
  };
}

function collect(name, node) {
  if (node.items && !node.items.$ref) collect(name, node.items);
  if (!node.properties) return;
  const limits = {};
  for (const [key, member] of Object.entries(node.properties)) {
    // A list of numbers has the limits of each.
    const own =
      limitsOf(member) ?? (member.items && limitsOf(member.items)) ?? member.anyOf?.map(limitsOf).find(Boolean);
    if (own && Object.keys(own).length > 0) limits[key] = own;
    if (!member.$ref) collect(`${name}_${key}`, member);
  }
  if (Object.keys(limits).length > 0) found[name] = limits;
}

for (const [name, node] of Object.entries({ book: schema, ...schema.$defs })) collect(name, node);
const text = [
  "// Made by bin/generate out of docs/book.schema.json. Do not edit.",
  "",
  "// What numbers of the parts of the book document may be, by the names of both.",
  `export const limits = ${JSON.stringify(found)} as const;`,
].join("\n");
process.stdout.write(await format(text, { parser: "typescript", printWidth: 120 }));
