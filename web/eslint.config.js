import { readdirSync } from "node:fs";
import js from "@eslint/js";
import imports from "eslint-plugin-import-x";
import jsdoc from "eslint-plugin-jsdoc";
import hooks from "eslint-plugin-react-hooks";
import typescript from "typescript-eslint";

// The floors of the front end, from the ground up: a folder imports of those before it and of itself alone. Folders on
// one floor know nothing of one another.
const FLOORS = [
  ["texts"],
  ["generated", "theme", "numbers"],
  ["api"],
  ["fields", "guide"],
  ["frame"],
  ["statement"],
  ["map", "page"],
  ["arrivals", "grids", "labels", "pixels", "symbols"],
  ["notes"],
  ["ground", "sheet", "weave", "proof", "press", "shelf", "history"],
];

// The roof, which everything may be put together in and nothing below knows of; and what is no code.
const ROOF = ["App.tsx", "main.tsx", "start.tsx"];
const REST = ["fonts.css"];

const homeless = readdirSync(new URL("./src", import.meta.url)).filter(
  (name) => ![...FLOORS.flat(), ...ROOF, ...REST].includes(name),
);
if (homeless.length > 0) throw new Error(`On no floor of eslint.config.js: ${homeless.join(", ")}`);

const zones = FLOORS.flatMap((floor, height) =>
  floor.map((folder) => ({
    target: `./src/${folder}`,
    from: [
      ...ROOF.map((file) => `./src/${file}`),
      ...FLOORS.slice(height)
        .flat()
        .filter((other) => other !== folder)
        .map((other) => `./src/${other}`),
    ],
    message: "An import may only run down the floors of eslint.config.js.",
  })),
);

// Components and hooks that a file exports.
const NAMED = "/^(use[A-Z]|[A-Z][a-z])/";
const DOCUMENTED = [
  `ExportNamedDeclaration > FunctionDeclaration[id.name=${NAMED}]`,
  `ExportNamedDeclaration > VariableDeclaration:has(> VariableDeclarator[id.name=${NAMED}] > ArrowFunctionExpression)`,
];

export default typescript.config(js.configs.recommended, ...typescript.configs.recommended, {
  files: ["src/**/*.{ts,tsx}"],
  languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
  plugins: { "react-hooks": hooks, "import-x": imports, jsdoc },
  settings: { "import-x/resolver-next": [imports.createNodeResolver({ extensions: [".ts", ".tsx"] })] },
  rules: {
    "react-hooks/rules-of-hooks": "error",
    "react-hooks/exhaustive-deps": "error",
    "@typescript-eslint/no-floating-promises": "error",
    "@typescript-eslint/no-misused-promises": ["error", { checksVoidReturn: false }],
    "@typescript-eslint/await-thenable": "error",
    "import-x/no-restricted-paths": ["error", { zones }],
    // What components and hooks are for is said above them; their types are TypeScript's.
    "jsdoc/require-jsdoc": ["error", { require: { FunctionDeclaration: false }, contexts: DOCUMENTED }],
    "jsdoc/no-types": "error",
  },
});
