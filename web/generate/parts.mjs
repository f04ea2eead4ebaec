// What generators have in common that list something of the parts of the book document by the parts' names.
import { json } from "node:stream/consumers";
import { format } from "prettier";

/** The JSON Schema on standard input. */
export const readSchema = () => json(process.stdin);

/** Writes one constant for the front end. about: what it is, in a comment; found: its value. */
export async function writeConstant(name, about, found) {
  const text = [
    "// Made by bin/generate out of docs/book.schema.json. Do not edit.",
    "",
    `// ${about}`,
    `export const ${name} = ${JSON.stringify(found)} as const;`,
  ].join("\n");
  process.stdout.write(await format(text, { parser: "typescript", printWidth: 120 }));
}
