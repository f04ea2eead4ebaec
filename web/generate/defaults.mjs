// What a part of the book document is where it does not say so, out of the JSON Schema (on standard input): the defaults
// of each part by its name, those of a part within it by both names.
import { readSchema, writeConstant } from "./parts.mjs";

const schema = await readSchema();
const found = {};

// The definition that a node points to, with what the node says otherwise.
function resolved(node) {
  const name = node.$ref?.replace("#/$defs/", "");
  if (!name) return node;
  const target = resolved(schema.$defs[name]);
  if (!node.properties) return target;
  const members = { ...target.properties };
  for (const [key, value] of Object.entries(node.properties)) members[key] = { ...members[key], ...value };
  return { ...target, properties: members };
}

function collect(name, node) {
  if (node.items) collect(name, node.items);
  if (!node.properties) return;
  const defaults = {};
  for (const [key, member] of Object.entries(node.properties)) {
    const value = member.default ?? resolved(member).default;
    if (value !== undefined) defaults[key] = value;
    const own = member.$ref && !member.properties ? {} : resolved(member);
    collect(`${name}_${key}`, own);
  }
  if (Object.keys(defaults).length > 0) found[name] = defaults;
}

for (const [name, node] of Object.entries(schema.$defs)) collect(name, node);
await writeConstant("defaults", "The defaults of the parts of the book document by their names.", found);
