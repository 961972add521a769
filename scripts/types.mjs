/**
 * Checks the types of every workspace: the core first, whose types all others read as it writes them down, then those two at a
 * time; the server's has the host in it.
 */
import { spawn } from "node:child_process";
import { fileURLToPath } from "node:url";

const root = fileURLToPath(new URL("..", import.meta.url));
const CORE = "core/tsconfig.json";
const OTHERS = [
  "core/tsconfig.test.json",
  "server/tsconfig.json",
  "cli/tsconfig.json",
  "web/tsconfig.json",
  "web/vite.tsconfig.json",
  "e2e/tsconfig.json",
];

function check(project) {
  return new Promise((resolve) => {
    const child = spawn(process.execPath, ["node_modules/typescript/bin/tsc", "-p", project], {
      cwd: root,
      stdio: "inherit",
    });
    child.on("exit", (code) => resolve(code ?? 1));
  });
}

const codes = [await check(CORE)];
const waiting = [...OTHERS];
async function work() {
  for (let project = waiting.shift(); project; project = waiting.shift()) codes.push(await check(project));
}
await Promise.all([work(), work()]);
process.exit(codes.every((code) => code === 0) ? 0 : 1);
