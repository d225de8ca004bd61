import react from "@vitejs/plugin-react";
import { fileURLToPath } from "node:url";
import { defineConfig } from "vitest/config";

export default defineConfig({
  plugins: [react()],
  resolve: { alias: { "@": fileURLToPath(new URL("./src", import.meta.url)) } },
  test: {
    environment: "jsdom",
    setupFiles: ["src/test/browser.ts"],
    // A shared machine may be slow; nothing here is a measurement.
    testTimeout: 60_000,
    // Files share a process and what they import (a third of the time): each puts back what it changed.
    isolate: false,
    restoreMocks: true,
    unstubGlobals: true,
  },
});
