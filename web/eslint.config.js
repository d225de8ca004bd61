import js from "@eslint/js";
import a11y from "eslint-plugin-jsx-a11y";
import hooks from "eslint-plugin-react-hooks";
import globals from "globals";
import ts from "typescript-eslint";

/** Lower parts know nothing of higher ones: api, domain and ui never import a feature. */
const noFeatures = {
  patterns: [{ group: ["@/features/*"], message: "Features stand on this; not the other way." }],
};

export default ts.config(
  { ignores: ["dist", "target", "node_modules", "src/api/generated"] },
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
  { files: ["scripts/**", "*.js"], languageOptions: { globals: globals.node } },
);
