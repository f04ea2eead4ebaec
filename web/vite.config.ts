import react from "@vitejs/plugin-react";
import { defineConfig } from "vite";

export default defineConfig({
  plugins: [react()],
  build: { chunkSizeWarningLimit: 500, sourcemap: false },
  server: { proxy: { "/api": "http://127.0.0.1:7400", "/fonts": "http://127.0.0.1:7400" } },
});
