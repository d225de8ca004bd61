import react from "@vitejs/plugin-react";
import { fileURLToPath } from "node:url";
import { configDefaults, defineConfig } from "vitest/config";

const at = (path: string) => fileURLToPath(new URL(path, import.meta.url));

export default defineConfig({
  plugins: [react()],
  resolve: { alias: { "@": at("./src") } },
  test: {
    projects: [
      {
        extends: true,
        test: { name: "parts", exclude: [...configDefaults.exclude, "src/test/walk/**"] },
      },
      {
        extends: true,
        // Words are told by their keys: a sentence may change.
        resolve: {
          alias: [
            { find: /^\.\.\/sayer$/, replacement: at("./src/test/walk/keys.tsx") },
            {
              find: "@/words/generated/enums",
              replacement: at("./src/test/walk/keys.tsx"),
            },
          ],
        },
        test: { name: "walk", include: ["src/test/walk/**/*.test.tsx"] },
      },
    ],
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
