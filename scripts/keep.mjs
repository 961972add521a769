/** Everything out, or back in: `npm run -s keep -- out.zip`. */
import { spawnSync } from "node:child_process";
import { fileURLToPath } from "node:url";

const root = fileURLToPath(new URL("..", import.meta.url));
const run = (args) => spawnSync(process.execPath, args, { stdio: "inherit" }).status ?? 1;
process.exitCode =
  run([`${root}scripts/build.mjs`, "server"]) || run([`${root}server/dist/keep.js`, ...process.argv.slice(2)]);
