import js from "@eslint/js";
import a11y from "eslint-plugin-jsx-a11y";
import { createTypeScriptImportResolver } from "eslint-import-resolver-typescript";
import imports from "eslint-plugin-import-x";
import hooks from "eslint-plugin-react-hooks";
import globals from "globals";
import ts from "typescript-eslint";
import { inCatalogue } from "./lint/words.js";
import { allowed, noArithmetic } from "./lint/quantities.js";

/** Lower parts know nothing of higher ones: domain, then api, then ui, then the features. */
const PARTS = ["domain", "api", "ui", "features"];

const partsInOrder = PARTS.slice(0, -1).map((part, i) => ({
  files: [`src/${part}/**`],
  ignores: ["src/domain/contract.ts"],
  rules: {
    "no-restricted-imports": [
      "error",
      {
        patterns: [
          {
            group: PARTS.slice(i + 1).map((later) => `@/${later}/*`),
            message: `Parts import one another in one direction: ${PARTS.join(", ")}.`,
          },
        ],
      },
    ],
  },
}));

/** Features import one another in this direction only: each may use those before it. */
const ORDER = [
  "model",
  "bench",
  "simulator",
  "program",
  "rig",
  "benchsetup",
  "trimming",
  "preflight",
  "flightlog",
  "adjustment",
  "school",
  "aircraft",
  "hangar",
  "transfer",
  "settings",
];

const oneDirection = ORDER.map((feature, i) => ({
  files: [`src/features/${feature}/**`],
  rules: {
    "no-restricted-imports": [
      "error",
      {
        patterns: [
          {
            group: ORDER.slice(i + 1).flatMap((later) => [
              `@/features/${later}/*`,
              `../${later}/*`,
            ]),
            message: `Features import one another in one direction: ${ORDER.join(", ")}.`,
          },
        ].filter((pattern) => pattern.group.length > 0),
      },
    ],
  },
}));

export default ts.config(
  { ignores: ["dist", "target", "node_modules", "src/api/generated", "src/words/generated"] },
  js.configs.recommended,
  ...ts.configs.strict,
  {
    files: ["src/**/*.{ts,tsx}"],
    plugins: { "react-hooks": hooks, "jsx-a11y": a11y },
    languageOptions: { globals: globals.browser },
    rules: {
      ...hooks.configs.recommended.rules,
      ...a11y.flatConfigs.recommended.rules,
      "max-lines": ["error", { max: 300, skipBlankLines: true, skipComments: true }],
    },
  },
  {
    files: ["src/**/*.tsx"],
    ignores: ["src/**/*.test.tsx", "src/test/**"],
    plugins: { page: { rules: { words: inCatalogue } } },
    rules: { "max-lines-per-function": ["error", { max: 120 }], "page/words": "error" },
  },
  {
    files: ["src/**/*.{ts,tsx}"],
    plugins: { "import-x": imports },
    settings: {
      ...imports.flatConfigs.typescript.settings,
      "import-x/resolver-next": [createTypeScriptImportResolver()],
    },
    rules: { "import-x/no-cycle": "error" },
  },
  ...partsInOrder,
  ...oneDirection,
  {
    files: ["src/**/*.{ts,tsx}"],
    ignores: allowed,
    rules: { "no-restricted-syntax": noArithmetic },
  },
  { files: ["scripts/**", "*.js"], languageOptions: { globals: globals.node } },
);
