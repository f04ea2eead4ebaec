// What numbers of the book document may be, out of the JSON Schema (on standard input): the limits of each number of a
// part by the part's name, those of a part within it by both names.
import { readSchema, writeConstant } from "./parts.mjs";

const schema = await readSchema();
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
await writeConstant("limits", "What numbers of the parts of the book document may be, by the names of both.", found);
