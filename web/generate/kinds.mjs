// The kinds of things that the core declares (on standard input), as lists for menus.
import { readFileSync } from "node:fs";
import { format } from "prettier";

const kinds = JSON.parse(readFileSync(0, "utf8"));
const lists = Object.entries(kinds).map(
  ([name, list]) => `export const ${name} = ${JSON.stringify(list.map(({ key, title }) => [key, title]))} as const;`,
);
const text = ["// Made by bin/generate out of what the core declares. Do not edit.", "", ...lists].join("\n");
process.stdout.write(await format(text, { parser: "typescript", printWidth: 120 }));
