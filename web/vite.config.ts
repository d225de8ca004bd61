import tailwindcss from "@tailwindcss/vite";
import react from "@vitejs/plugin-react";
import { fileURLToPath } from "node:url";
import { defineConfig } from "vite";

export default defineConfig({
  plugins: [react(), tailwindcss()],
  resolve: {
    alias: {
      "@": fileURLToPath(new URL("./src", import.meta.url)),
      // Messages are read when the page is built: what reads them is not needed in the browser.
      "@formatjs/icu-messageformat-parser": "@formatjs/icu-messageformat-parser/no-parser.js",
    },
  },
  build: { chunkSizeWarningLimit: 900, reportCompressedSize: false },
  server: {
    proxy: { "/api": { target: "http://127.0.0.1:8080", ws: true } },
  },
});
