/**
 * Everything that can be checked: types, lint, formatting, a build, unit tests, the interface in a real browser.
 * What can go on side by side does. Ends with one line that counts Jest's and the browser's tests together.
 */
import { spawn } from "node:child_process";
import { mkdtempSync, readFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { fileURLToPath } from "node:url";

const root = fileURLToPath(new URL("..", import.meta.url));
const reports = mkdtempSync(join(tmpdir(), "twin-petal-tests-"));
const began = Date.now();
let sound = true;

/** Runs a step; what it prints comes when it has ended, unless it is alone. */
function run(title, words, { environment = {}, alone = false } = {}) {
  if (alone) console.log(`\n— ${title}`);
  const started = Date.now();
  const child = spawn(process.execPath, words, {
    cwd: root,
    stdio: ["ignore", alone ? "inherit" : "pipe", alone ? "inherit" : "pipe"],
    env: { ...process.env, ...environment },
  });
  let said = "";
  for (const stream of [child.stdout, child.stderr]) stream?.on("data", (piece) => (said += piece.toString()));
  return new Promise((resolve) => {
    child.on("exit", (code) => {
      if (code !== 0) sound = false;
      const took = `${Math.round((Date.now() - started) / 1000)} s`;
      console.log(alone ? `— ${title}: ${took}` : `\n— ${title}: ${code === 0 ? "sound" : "FAILED"}, ${took}\n${said}`);
      resolve(code);
    });
  });
}

function report(name) {
  try {
    return JSON.parse(readFileSync(join(reports, name), "utf8"));
  } catch {
    // A runner that wrote no report has failed as a whole.
    return null;
  }
}

await Promise.all([
  run("lint", ["node_modules/eslint/bin/eslint.js", "."]),
  (async () => {
    await run("build", ["scripts/build.mjs", "all"]);
    await run("types", ["scripts/types.mjs"]);
    await run("format", ["node_modules/prettier/bin/prettier.cjs", "--check", "--log-level", "warn", "."]);
  })(),
]);
await run("unit tests", ["node_modules/jest/bin/jest.js", "--json", `--outputFile=${join(reports, "jest.json")}`], {
  environment: { NODE_OPTIONS: "--experimental-vm-modules --no-warnings" },
  alone: true,
});
await run(
  "the interface in a browser",
  ["node_modules/@playwright/test/cli.js", "test", "--config", "e2e/playwright.config.ts", "--reporter=list,json"],
  { environment: { PLAYWRIGHT_JSON_OUTPUT_NAME: join(reports, "browser.json") }, alone: true },
);

const jest = report("jest.json") ?? { numPassedTests: 0, numFailedTests: 1 };
const browser = report("browser.json")?.stats ?? { expected: 0, unexpected: 1, flaky: 0 };
const failed = jest.numFailedTests + browser.unexpected;
console.log(`\nAll of it took ${Math.round((Date.now() - began) / 1000)} s.`);
if (!sound) console.log("Something above has failed.");
console.log(`\n${jest.numPassedTests + browser.expected + browser.flaky} passed, ${failed} failed`);
process.exit(sound ? 0 : 1);
