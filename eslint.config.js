import { createNodeResolver, importX } from "eslint-plugin-import-x";
import tseslint from "typescript-eslint";

/**
 * Which file may import which; everything else is asked by `.oxlintrc.json`, with the types.
 * Imports run one way: web, server and cli import the core; the core imports none of them, and nothing of a host.
 */
const importRule = (message, ...group) => ({ "no-restricted-imports": ["error", { patterns: [{ group, message }] }] });

/** The core's folders in order: each imports only from itself and from those before it. */
const CORE_FOLDERS = [
  "engines",
  "geometry",
  "errands",
  "formula",
  "fields",
  "palette",
  "motif",
  "rules",
  "finish",
  "join",
  "thread",
  "form",
  "design",
  "scene",
  "solve",
  "cut",
  "stitch",
  "print",
  "solid",
  "make",
  "machine",
];

const CORE_ZONES = CORE_FOLDERS.slice(0, -1).map((folder, place) => ({
  target: `core/src/${folder}`,
  from: CORE_FOLDERS.slice(place + 1).map((later) => `core/src/${later}`),
  message: `${folder} comes before it: a folder imports only from those above it (docs/architecture.md)`,
}));

/** What a workspace imports it declares itself; its tests may lean on the tools at the root. */
const declared = (workspace, root = []) => [
  "error",
  { packageDir: [`${import.meta.dirname}/${workspace}`, ...root], devDependencies: root.length > 0 },
];

export default tseslint.config(
  { ignores: ["**/dist/", "node_modules/", "data/", "test-results/"] },
  {
    files: ["**/*.{ts,tsx}"],
    plugins: { "import-x": importX },
    languageOptions: { parser: tseslint.parser },
    settings: {
      "import-x/extensions": [".ts", ".tsx"],
      "import-x/parsers": { "@typescript-eslint/parser": [".ts", ".tsx"] },
      "import-x/resolver-next": [
        createNodeResolver({
          extensions: [".ts", ".tsx", ".js", ".mjs", ".json"],
          alias: { "@": [`${import.meta.dirname}/web/src`] },
        }),
      ],
    },
    rules: { "import-x/no-restricted-paths": ["error", { basePath: import.meta.dirname, zones: CORE_ZONES }] },
  },
  ...["core", "web", "server", "cli", "host"].flatMap((workspace) => [
    {
      files: [`${workspace}/src/**`],
      rules: { "import-x/no-extraneous-dependencies": declared(workspace) },
    },
    {
      files: [`${workspace}/test/**/*.{ts,tsx}`],
      rules: { "import-x/no-extraneous-dependencies": declared(workspace, [import.meta.dirname]) },
    },
  ]),
  {
    files: ["core/src/**"],
    rules: importRule(
      "the core stands apart: no interface, no server, nothing of Node",
      "react*",
      "node:*",
      "express",
      "drizzle-orm*",
      "@twin-petal/*",
      "**/server/**",
      "**/web/**",
      "**/cli/**",
    ),
  },
  {
    files: ["web/src/**"],
    rules: importRule("the interface imports the core only", "node:*", "**/server/**", "**/cli/**", "**/core/src/**"),
  },
  {
    files: ["server/src/**", "cli/src/**"],
    rules: importRule("the server and the command line import the core only", "react*", "**/web/**", "**/core/src/**"),
  },
);
