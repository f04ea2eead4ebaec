// What numbers of the book document may be, out of the JSON Schema (on standard input): the limits of each number of a
// part by the part's name, those of a part within it by both names.
import { eachMember, readSchema, writeConstant } from "./parts.mjs";

const found = {};

function limitsOf({ type, minimum, exclusiveMinimum, maximum }) {
  if (type !== "number" && type !== "integer") return undefined;
  return {
    ...(minimum === undefined ? {} : { least: minimum }),
    ...(exclusiveMinimum === undefined ? {} : { above: exclusiveMinimum }),
    ...(maximum === undefined ? {} : { most: maximum }),
    ...(type === "integer" ? { whole: true } : {}),
  };
}

eachMember(await readSchema(), (part, name, nodes) => {
  const own = nodes.map(limitsOf).find(Boolean);
  if (own && Object.keys(own).length > 0) (found[part] ??= {})[name] = own;
});

await writeConstant("limits", "What numbers of the parts of the book document may be, by the names of both.", found);
