// The catalogue of the texts of the interface: every text that the front end looks up (t, count, counted), by itself, as
// i18next has them. A translation is a file of the same keys, src/texts/LANGUAGE.json.
import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import ts from "typescript";

const SOURCE = new URL("../src", import.meta.url).pathname;
// Key → text.
const found = new Map();

const text = (node) => (node && ts.isStringLiteralLike(node) ? node.text : null);

// "27 sheets": a key for each form of the language, English having two.
function plural(one, many) {
  if (one === null) return;
  const all = many ?? `${one}s`;
  found.set(`%{shown} ${all}_one`, `%{shown} ${one}`).set(`%{shown} ${all}_other`, `%{shown} ${all}`);
}

function read(node) {
  if (ts.isCallExpression(node) && ts.isIdentifier(node.expression)) {
    const [first, second, third, fourth] = node.arguments;
    if (node.expression.text === "t" && text(first) !== null) found.set(text(first), text(first));
    if (node.expression.text === "count") plural(text(second), text(third));
    if (node.expression.text === "counted") plural(text(third), text(fourth));
  }
  ts.forEachChild(node, read);
}

for (const entry of readdirSync(SOURCE, { recursive: true, withFileTypes: true })) {
  if (!entry.isFile() || !/\.tsx?$/.test(entry.name) || entry.name.includes(".test.")) continue;
  const file = join(entry.parentPath ?? entry.path, entry.name);
  const kind = file.endsWith("x") ? ts.ScriptKind.TSX : ts.ScriptKind.TS;
  read(ts.createSourceFile(file, readFileSync(file, "utf8"), ts.ScriptTarget.Latest, true, kind));
}

const entries = [...found].sort(([one], [other]) => (one < other ? -1 : 1));
process.stdout.write(`${JSON.stringify(Object.fromEntries(entries), null, 2)}\n`);
