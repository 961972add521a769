/** The unit tests, bundled by `scripts/unit.mjs`, in bare Node: no context of the runner's own slows what they measure by work. */
export default {
  runner: "jest-light-runner",
  rootDir: "dist/unit",
  testMatch: ["**/*.test.js"],
  transform: {},
  // Every core has work: the runner would leave one of two idle.
  maxWorkers: "100%",
};
