/** Checks the types of every workspace: the core first, whose types all others read as it writes them down. */
import { spawnSync } from "node:child_process";
import { fileURLToPath } from "node:url";

const root = fileURLToPath(new URL("..", import.meta.url));
const PROJECTS = [
  "core/tsconfig.json",
  "core/tsconfig.test.json",
  "server/tsconfig.json",
  "cli/tsconfig.json",
  "web/tsconfig.json",
  "web/vite.tsconfig.json",
  "e2e/tsconfig.json",
];

const check = (project) =>
  spawnSync(process.execPath, ["node_modules/typescript/bin/tsc", "-p", project], {
    cwd: root,
    stdio: "inherit",
  });
process.exit(PROJECTS.map(check).every(({ status }) => status === 0) ? 0 : 1);
