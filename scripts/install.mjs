/** Installs the packages when they are missing or older than the lock file. Plain Node: nothing is installed yet. */
import { execSync } from "node:child_process";
import { existsSync, statSync } from "node:fs";
import { fileURLToPath } from "node:url";

const root = fileURLToPath(new URL("..", import.meta.url));
const lock = `${root}package-lock.json`;
const installed = `${root}node_modules/.package-lock.json`;

if (!existsSync(installed) || statSync(installed).mtimeMs < statSync(lock).mtimeMs) {
  console.log("Installing packages …");
  execSync("npm ci --no-audit --no-fund --loglevel=error", { cwd: root, stdio: "inherit" });
}
