import js from "@eslint/js";
import hooks from "eslint-plugin-react-hooks";
import typescript from "typescript-eslint";

export default typescript.config(js.configs.recommended, ...typescript.configs.recommended, {
  files: ["src/**/*.{ts,tsx}"],
  plugins: { "react-hooks": hooks },
  rules: { "react-hooks/rules-of-hooks": "error", "react-hooks/exhaustive-deps": "error" },
});
