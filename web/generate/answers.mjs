// The front end's types of the server's answers out of app/answers.json (on standard input).
import { compile } from "json-schema-to-typescript";
import { json } from "node:stream/consumers";
import { format } from "prettier";

const { $defs } = await json(process.stdin);

// Parts of the book document stand in book.ts.
const OF_BOOK = ["BookDocument", "Index", "LabelByHand", "LegendRow", "Order"];

const forTypes = (node) => {
  if (Array.isArray(node)) return node.map(forTypes);
  if (node === null || typeof node !== "object") return node;
  if (typeof node.tsType === "string") return { description: node.description, tsType: node.tsType };
  return Object.fromEntries(Object.entries(node).map(([key, value]) => [key, forTypes(value)]));
};

const text = await compile({ title: "Answers", type: "object", $defs: forTypes($defs) }, "Answers", {
  bannerComment: [
    "// Made by bin/generate out of app/answers.json. Do not edit.",
    `import type { ${OF_BOOK.join(", ")} } from "./book";`,
    'import type { layerKindTraits } from "./kinds";',
  ].join("\n"),
  style: { printWidth: 120 },
  unreachableDefinitions: true,
  additionalProperties: false,
});
const own = text.replace(/export interface Answers \{\s*\}\n?/, "");
process.stdout.write(await format(own, { parser: "typescript", printWidth: 120 }));
