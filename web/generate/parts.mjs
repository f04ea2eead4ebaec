// What generators have in common that list something of the parts of the book document by the parts' names.
import { json } from "node:stream/consumers";
import { format } from "prettier";
import { IMPORT, withTexts } from "./shown.mjs";

/** The JSON Schema on standard input. */
export const readSchema = () => json(process.stdin);

/**
 * Tells of each member of each part: the part's name (that of a part within it after the outer one's), the member's own,
 * and what the schema says of it: of itself, of each of its list, of each that it may be.
 */
export function eachMember(schema, tell) {
  const target = (node) => (node.$ref ? target(schema.$defs[node.$ref.replace("#/$defs/", "")]) : node);
  function collect(part, node) {
    if (node.items && !node.items.$ref) collect(part, node.items);
    for (const [name, member] of Object.entries(node.properties ?? {})) {
      tell(part, name, [member, ...(member.items ? [member.items] : []), ...(member.anyOf ?? [])].map(target));
      if (!member.$ref) collect(`${part}_${name}`, member);
    }
  }
  for (const [name, node] of Object.entries({ book: schema, ...schema.$defs })) collect(name, node);
}

/** Writes one constant for the front end. about: what it is, in a comment; found: its value. */
export async function writeConstant(name, about, found) {
  const json = JSON.stringify(found),
    value = withTexts(json);
  const text = [
    "// Made by bin/generate out of docs/book.schema.json. Do not edit.",
    ...(value === json ? [] : ["", IMPORT]),
    "",
    `// ${about}`,
    `export const ${name} = ${value} as const;`,
  ].join("\n");
  process.stdout.write(await format(text, { parser: "typescript", printWidth: 120 }));
}
