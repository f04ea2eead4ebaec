// What the core declares (on standard input): kinds of things as lists for menus, what is known of some of the
// kinds, plain lists.
import { json } from "node:stream/consumers";
import { format } from "prettier";

const { kinds, traits, lists } = await json(process.stdin);
const menus = Object.entries(kinds).map(([name, list]) => [name, list.map(({ key, title }) => [key, title])]);
const constants = [...menus, ...Object.entries(traits), ...Object.entries(lists)].map(
  ([name, value]) => `export const ${name} = ${JSON.stringify(value)} as const;`,
);
const text = ["// Made by bin/generate out of what the core declares. Do not edit.", "", ...constants].join("\n");
process.stdout.write(await format(text, { parser: "typescript", printWidth: 120 }));
