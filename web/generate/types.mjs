// The front end's types out of the book document's JSON Schema (on standard input).
import { compile } from "json-schema-to-typescript";
import { json } from "node:stream/consumers";

const schema = await json(process.stdin);

// Names that TypeScript has already.
const RENAMED = { symbol: "mapSymbol" };

// What limits values but not their type is left out; elements are a union with one member a kind.
function forTypes(node, name) {
  if (Array.isArray(node)) return node.map((item) => forTypes(item));
  if (node === null || typeof node !== "object") return node;
  if (["element", "form", "raster_look", "legend_row", "extent"].includes(name))
    return { oneOf: node.allOf.map((kind) => forTypes(kind.then)) };
  if (node.type === "object" && !node.properties) return { tsType: "unknown" };
  const kept = Object.fromEntries(
    Object.entries(node).filter(([key]) => !["if", "then", "default", "uniqueItems"].includes(key)),
  );
  if (kept.properties) delete kept.oneOf;
  if (!(kept.minItems === 2 && kept.maxItems === 2)) {
    delete kept.minItems;
    delete kept.maxItems;
  }
  if (typeof kept.$ref === "string") {
    const [, definition] = kept.$ref.match(/^#\/\$defs\/(.*)$/);
    return { $ref: `#/$defs/${RENAMED[definition] ?? definition}` };
  }
  return Object.fromEntries(
    Object.entries(kept).map(([key, value]) => [key, key === "properties" ? members(value) : forTypes(value)]),
  );
}

const members = (properties) =>
  Object.fromEntries(Object.entries(properties).map(([key, value]) => [key, forTypes(value)]));

const { $defs, $schema, $id, ...root } = schema;
const definitions = Object.fromEntries(
  Object.entries($defs).map(([name, node]) => [RENAMED[name] ?? name, forTypes(node, name)]),
);
const text = await compile({ ...forTypes(root), $defs: definitions, title: "BookDocument" }, "BookDocument", {
  bannerComment: "// Made by bin/generate out of docs/book.schema.json. Do not edit.",
  style: { printWidth: 120 },
  unreachableDefinitions: true,
  additionalProperties: false,
});
process.stdout.write(text);
