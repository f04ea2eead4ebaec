// The texts that the book document chooses from with their titles, out of the JSON Schema (on standard input): those of
// each part by the part's name, those of a part within it by both names.
import { eachMember, readSchema, writeConstant } from "./parts.mjs";
import { shown } from "./shown.mjs";

const found = {};

const titled = (node) =>
  node.enum && node["x-titles"] && node.enum.map((text) => [text, shown(node["x-titles"][text])]);

eachMember(await readSchema(), (part, name, nodes) => {
  const own = nodes.map(titled).find(Boolean);
  if (own) (found[part] ??= {})[name] = own;
});

await writeConstant(
  "choices",
  "What parts of the book document choose from, with its titles, by the names of both.",
  found,
);
