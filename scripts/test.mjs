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

/** No step may take longer, milliseconds: bare Node ends no test that hangs. */
const LONGEST = 2_400_000;

/** Runs a step; what it prints comes when it has ended, unless it is alone. */
function run(title, words, { environment = {}, alone = false, counts = true } = {}) {
  if (alone) console.log(`\n— ${title}`);
  const started = Date.now();
  const child = spawn(process.execPath, words, {
    cwd: root,
    stdio: ["ignore", alone ? "inherit" : "pipe", alone ? "inherit" : "pipe"],
    env: { ...process.env, ...environment },
    timeout: LONGEST,
  });
  let said = "";
  for (const stream of [child.stdout, child.stderr]) stream?.on("data", (piece) => (said += piece.toString()));
  return new Promise((resolve) => {
    child.on("exit", (code) => {
      if (code !== 0 && counts) sound = false;
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
  (async () => {
    await run("types", ["scripts/types.mjs"]);
    await run("lint", ["node_modules/oxlint/bin/oxlint", "--config", "oxlint.config.mjs"]);
  })(),
  (async () => {
    await run("build", ["scripts/build.mjs", "all"]);
    await run("format", ["node_modules/oxfmt/bin/oxfmt", "--check"]);
  })(),
]);
await run("unit tests", ["scripts/unit.mjs", "--json", `--outputFile=${join(reports, "jest.json")}`], { alone: true });
await run(
  "the interface in a browser",
  ["node_modules/@playwright/test/cli.js", "test", "--config", "e2e/playwright.config.ts", "--reporter=list,json"],
  { environment: { PLAYWRIGHT_JSON_OUTPUT_NAME: join(reports, "browser.json") }, alone: true },
);

// Told, and nothing more: the machine is noisy, and whoever reads it acts.
await run("speed beside what stands", ["bench/run.mjs", "--quick"], { alone: true, counts: false });

const jest = report("jest.json") ?? { numPassedTests: 0, numFailedTests: 1 };
const browser = report("browser.json")?.stats ?? { expected: 0, unexpected: 1, flaky: 0 };
const failed = jest.numFailedTests + browser.unexpected;
console.log(`\nAll of it took ${Math.round((Date.now() - began) / 1000)} s.`);
if (!sound) console.log("Something above has failed.");
console.log(`\n${jest.numPassedTests + browser.expected + browser.flaky} passed, ${failed} failed`);
process.exit(sound ? 0 : 1);
