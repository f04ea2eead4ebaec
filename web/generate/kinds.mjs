// What the core declares (on standard input): kinds of things as lists for menus, what is known of some of the
// kinds, plain lists.
import { json } from "node:stream/consumers";
import { format } from "prettier";
import { IMPORT, shown, withTexts } from "./shown.mjs";

const { kinds, traits, lists } = await json(process.stdin);
const menus = Object.entries(kinds).map(([name, list]) => [
  name,
  // Languages have their names in themselves.
  list.map(({ key, title }) => [key, name === "languages" ? title : shown(title)]),
]);
const told = Object.entries(traits).map(([name, list]) => [
  name,
  Object.fromEntries(
    Object.entries(list).map(([key, known]) => [key, known.about ? { ...known, about: shown(known.about) } : known]),
  ),
]);
const constants = [...menus, ...told, ...Object.entries(lists)].map(
  ([name, value]) => `export const ${name} = ${withTexts(JSON.stringify(value))} as const;`,
);
const text = ["// Made by bin/generate out of what the core declares. Do not edit.", "", IMPORT, "", ...constants].join(
  "\n",
);
process.stdout.write(await format(text, { parser: "typescript", printWidth: 120 }));
