import { readdirSync } from "node:fs";
import a11y from "eslint-plugin-jsx-a11y";
import hooks from "eslint-plugin-react-hooks";
import tseslint from "typescript-eslint";

/** The features: every folder of the source but the one that all share. */
const features = readdirSync(new URL("src", import.meta.url), { withFileTypes: true })
  .filter((entry) => entry.isDirectory() && entry.name !== "shared")
  .map((entry) => entry.name);

export default tseslint.config(
  { ignores: ["dist", "src/shared/api/schema.ts"] },
  ...tseslint.configs.strictTypeChecked,
  a11y.flatConfigs.strict,
  { languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } } },
  {
    plugins: { "react-hooks": hooks },
    rules: {
      "react-hooks/rules-of-hooks": "error",
      "react-hooks/exhaustive-deps": "error",
      // A field that a tap has just opened, and the only field of a page, take the focus: one tap less.
      "jsx-a11y/no-autofocus": "off",
      // What scrolls has to be reached by the keyboard.
      "jsx-a11y/no-noninteractive-tabindex": "off",
    },
  },
  {
    files: ["src/*/**"],
    rules: {
      "no-restricted-imports": [
        "error",
        {
          patterns: [
            {
              regex: `^(\\.\\./)+(${features.join("|")})/`,
              message: "Another feature is used through its index.ts alone.",
            },
          ],
        },
      ],
    },
  },
  {
    files: ["src/shared/**"],
    rules: {
      "no-restricted-imports": [
        "error",
        {
          patterns: [{ regex: `^(\\.\\./)+(${features.join("|")})(/|$)`, message: "What is shared knows no feature." }],
        },
      ],
    },
  },
);
