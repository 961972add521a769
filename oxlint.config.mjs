/**
 * What a file may hold, asked with the types, and which file may import which.
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

export default {
  plugins: ["typescript", "import", "react"],
  // The linter's own plugin of that name has not these two rules.
  jsPlugins: [{ name: "imports", specifier: "eslint-plugin-import-x" }],
  categories: {
    correctness: "error",
  },
  ignorePatterns: ["**/dist/", "data/", "test-results/"],
  options: {
    typeAware: true,
  },
  settings: {
    "import-x/extensions": [".ts", ".tsx"],
    "import-x/resolver": { node: { extensions: [".ts", ".tsx", ".js", ".mjs", ".json"] } },
  },
  rules: {
    eqeqeq: "error",
    "import/no-cycle": [
      "error",
      {
        ignoreExternal: true,
        ignoreTypes: false,
      },
    ],
    "max-lines": ["error", 400],
    "no-array-constructor": "error",
    "no-case-declarations": "error",
    "no-empty": "error",
    "no-fallthrough": "error",
    "no-prototype-builtins": "error",
    "no-regex-spaces": "error",
    "no-unexpected-multiline": "error",
    "no-unused-vars": [
      "error",
      {
        argsIgnorePattern: "^_",
        varsIgnorePattern: "^_",
      },
    ],
    "no-useless-assignment": "error",
    "no-var": "error",
    "prefer-const": "error",
    "prefer-rest-params": "error",
    "prefer-spread": "error",
    "preserve-caught-error": "error",
    "react/rules-of-hooks": "error",
    "react/unsupported-syntax": "error",
    "typescript/ban-ts-comment": "error",
    "typescript/consistent-type-assertions": [
      "error",
      {
        assertionStyle: "never",
      },
    ],
    "typescript/consistent-type-imports": "error",
    "typescript/method-signature-style": "error",
    "typescript/no-empty-object-type": "error",
    "typescript/no-explicit-any": "error",
    // A promise nobody waits for has somebody who hears that it failed.
    "typescript/no-floating-promises": ["error", { ignoreVoid: false }],
    "typescript/no-misused-promises": "error",
    "typescript/no-namespace": "error",
    "typescript/no-non-null-assertion": "error",
    "typescript/no-require-imports": "error",
    "typescript/no-unnecessary-type-assertion": "error",
    "typescript/no-unnecessary-type-constraint": "error",
    "typescript/no-unsafe-argument": "error",
    "typescript/no-unsafe-assignment": "error",
    "typescript/no-unsafe-call": "error",
    "typescript/no-unsafe-enum-comparison": "error",
    "typescript/no-unsafe-function-type": "error",
    "typescript/no-unsafe-member-access": "error",
    "typescript/no-unsafe-return": "error",
    "typescript/only-throw-error": "error",
    "typescript/prefer-promise-reject-errors": "error",
    "typescript/require-await": "error",
    "typescript/restrict-plus-operands": "error",
    "typescript/switch-exhaustiveness-check": [
      "error",
      {
        considerDefaultExhaustiveForUnions: true,
      },
    ],
    "react/incompatible-library": "off",
    "typescript/require-array-sort-compare": "off",
    "typescript/no-misused-spread": "off",
    "imports/no-restricted-paths": ["error", { basePath: import.meta.dirname, zones: CORE_ZONES }],
  },
  overrides: [
    {
      files: ["e2e/**"],
      rules: {
        "react/rules-of-hooks": "off",
      },
    },
    {
      files: ["**/test/**", "e2e/**", "bench/**"],
      rules: {
        "typescript/no-implied-eval": "off",
        "typescript/no-unsafe-argument": "off",
        "typescript/no-unsafe-assignment": "off",
        "typescript/no-unsafe-call": "off",
        "typescript/no-unsafe-member-access": "off",
        "typescript/no-unsafe-return": "off",
      },
    },
    {
      files: ["**/*.{js,mjs}"],
      rules: {
        "typescript/no-unsafe-argument": "off",
        "typescript/no-unsafe-assignment": "off",
        "typescript/no-unsafe-call": "off",
        "typescript/no-unsafe-member-access": "off",
        "typescript/no-unsafe-return": "off",
      },
    },
    ...["core", "web", "server", "cli", "host"].flatMap((workspace) => [
      { files: [`${workspace}/src/**`], rules: { "imports/no-extraneous-dependencies": declared(workspace) } },
      {
        files: [`${workspace}/test/**/*.{ts,tsx}`],
        rules: { "imports/no-extraneous-dependencies": declared(workspace, [import.meta.dirname]) },
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
      rules: importRule(
        "the server and the command line import the core only",
        "react*",
        "**/web/**",
        "**/core/src/**",
      ),
    },
  ],
};
