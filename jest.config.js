/** Unit tests of the core, the server, the command line and the interface's own logic. */
export default {
  testEnvironment: "node",
  // Every core has work: the runner would leave one of two idle.
  maxWorkers: "100%",
  // Some tests start a process of their own, beside others that do.
  testTimeout: 30_000,
  roots: ["<rootDir>/core", "<rootDir>/server", "<rootDir>/cli", "<rootDir>/web", "<rootDir>/attack"],
  setupFilesAfterEnv: ["<rootDir>/core/test/randomMembers.ts"],
  testMatch: ["**/*.test.ts"],
  extensionsToTreatAsEsm: [".ts", ".tsx"],
  transform: {
    "^.+\\.tsx?$": [
      "<rootDir>/scripts/jestTransform.mjs",
      {
        jsc: {
          parser: { syntax: "typescript", tsx: true },
          target: "es2022",
          transform: { react: { runtime: "automatic" } },
        },
        module: { type: "es6" },
      },
    ],
  },
  moduleNameMapper: {
    "^@twin-petal/core$": "<rootDir>/core/src/index.ts",
    "^@/(.*)$": "<rootDir>/web/src/$1",
  },
};
