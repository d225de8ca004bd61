import js from "@eslint/js";
import a11y from "eslint-plugin-jsx-a11y";
import hooks from "eslint-plugin-react-hooks";
import globals from "globals";
import ts from "typescript-eslint";
import { allowed, noArithmetic } from "./lint/quantities.js";

/** Lower parts know nothing of higher ones: api, domain and ui never import a feature. */
const noFeatures = {
  patterns: [{ group: ["@/features/*"], message: "Features stand on this; not the other way." }],
};

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
    files: ["src/{api,domain,ui}/**"],
    rules: { "no-restricted-imports": ["error", noFeatures] },
  },
  ...oneDirection,
  {
    files: ["src/**/*.{ts,tsx}"],
    ignores: allowed,
    rules: { "no-restricted-syntax": noArithmetic },
  },
  { files: ["scripts/**", "*.js"], languageOptions: { globals: globals.node } },
);
