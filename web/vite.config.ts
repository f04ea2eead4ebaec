import react from "@vitejs/plugin-react";
import { defineConfig } from "vitest/config";

const SERVER = `http://127.0.0.1:${process.env.SERVER_PORT ?? "7400"}`;

export default defineConfig({
  plugins: [react()],
  build: { chunkSizeWarningLimit: 500, sourcemap: false, manifest: true },
  // colorbrewer is bundled as for the browser: node would take another of its files.
  test: {
    include: ["src/**/*.test.{ts,tsx}"],
    // A slow machine takes seconds over what is a moment elsewhere; nothing here waits for anything.
    testTimeout: 60_000,
    server: { deps: { inline: ["colorbrewer"] } },
  },
  // bin/dev. The server is asked under the name that the browser knows: it takes no changes from pages of another.
  server: {
    proxy: { "/api": { target: SERVER, changeOrigin: false }, "/fonts": { target: SERVER, changeOrigin: false } },
  },
});
