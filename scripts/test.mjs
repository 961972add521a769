/**
 * Everything that can be checked: types, lint, a build, unit tests, the interface in a real browser.
 * Ends with one line that counts Jest's and the browser's tests together.
 */
import { spawnSync } from "node:child_process";
import { mkdtempSync, readFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { fileURLToPath } from "node:url";
import { build } from "./build.mjs";

const root = fileURLToPath(new URL("..", import.meta.url));
const reports = mkdtempSync(join(tmpdir(), "twin-petal-tests-"));
let sound = true;

function run(title, words, environment = {}) {
  console.log(`\n— ${title}`);
  const { status } = spawnSync(process.execPath, words, {
    cwd: root,
    stdio: "inherit",
    env: { ...process.env, ...environment },
  });
  if (status !== 0) sound = false;
}

function report(name) {
  try {
    return JSON.parse(readFileSync(join(reports, name), "utf8"));
  } catch {
    // A runner that wrote no report has failed as a whole.
    return null;
  }
}

run("types", ["scripts/types.mjs"]);
run("lint", ["node_modules/eslint/bin/eslint.js", "."]);
run("format", ["node_modules/prettier/bin/prettier.cjs", "--check", "--log-level", "warn", "."]);
console.log("\n— build");
await build(["all"]);
run("unit tests", ["node_modules/jest/bin/jest.js", "--json", `--outputFile=${join(reports, "jest.json")}`], {
  NODE_OPTIONS: "--experimental-vm-modules --no-warnings",
});
run(
  "the interface in a browser",
  ["node_modules/@playwright/test/cli.js", "test", "--config", "e2e/playwright.config.ts", "--reporter=list,json"],
  { PLAYWRIGHT_JSON_OUTPUT_NAME: join(reports, "browser.json") },
);

const jest = report("jest.json") ?? { numPassedTests: 0, numFailedTests: 1 };
const browser = report("browser.json")?.stats ?? { expected: 0, unexpected: 1, flaky: 0 };
const failed = jest.numFailedTests + browser.unexpected;
if (!sound) console.log("\nSomething above has failed.");
console.log(`\n${jest.numPassedTests + browser.expected + browser.flaky} passed, ${failed} failed`);
process.exit(sound ? 0 : 1);
