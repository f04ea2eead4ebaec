import react from "@vitejs/plugin-react";
import { defineConfig } from "vitest/config";

export default defineConfig({
  plugins: [react()],
  build: { chunkSizeWarningLimit: 500, sourcemap: false, manifest: true },
  // colorbrewer is bundled as for the browser: node would take another of its files.
  test: { include: ["src/**/*.test.{ts,tsx}"], server: { deps: { inline: ["colorbrewer"] } } },
  server: { proxy: { "/api": "http://127.0.0.1:7400", "/fonts": "http://127.0.0.1:7400" } },
});
