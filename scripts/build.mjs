/**
 * Builds what is stale: the command line and the server as bundles for Node, the interface for the
 * browser. `node scripts/build.mjs cli server web`, or `all`, which comes in the order below.
 */
import { spawn } from "node:child_process";
import { once } from "node:events";
import { existsSync, readdirSync, rmSync, statSync } from "node:fs";
import { join } from "node:path";
import { fileURLToPath, pathToFileURL } from "node:url";
import { build as bundle } from "esbuild";
import { build as buildWeb } from "vite";

const root = fileURLToPath(new URL("..", import.meta.url));

const TARGETS = {
  cli: {
    result: "cli/dist/make.js",
    sources: ["core/src", "host/src", "cli/src"],
    run: () => bundleNode("cli", ["make"]),
  },
  server: {
    result: "server/dist/main.js",
    sources: ["core/src", "host/src", "server/src"],
    run: () =>
      bundleNode("server", [
        "main",
        "keep",
        "work/makeWorker",
        "work/readWorker",
        "work/child",
        "work/deviceProcess",
        "work/keepProcess",
        "work/bringProcess",
      ]),
  },
  /** A data folder as the server leaves it after its first start: tests begin with a copy, and wait for no seeding. */
  seeded: {
    result: "server/dist/seeded/twin-petal.db",
    sources: ["core/src", "host/src", "server/src", "demo"],
    run: () => seedFolder("server/dist/seeded"),
  },
  attack: {
    result: "attack/dist/trial.js",
    sources: ["core/src", "host/src", "attack/trial.ts"],
    run: () => bundleNode("attack", ["trial"], ""),
  },
  web: {
    result: "web/dist/index.html",
    sources: ["core/src", "web/src", "demo", "starters", "web/index.html", "web/vite.config.ts"],
    run: () => buildWeb({ configFile: join(root, "web/vite.config.ts"), root: join(root, "web"), logLevel: "warn" }),
  },
};

/**
 * Bundles for Node with every package but the database's own library in them, and what several share once: a process starts in a
 * third of the time it takes to find its packages file by file.
 */
function bundleNode(folder, entries, sources = "src/") {
  rmSync(join(root, folder, "dist/shared"), { recursive: true, force: true });
  return bundle({
    absWorkingDir: root,
    entryPoints: entries.map((entry) => `${folder}/${sources}${entry}.ts`),
    outdir: `${folder}/dist`,
    bundle: true,
    splitting: true,
    chunkNames: "shared/[name]-[hash]",
    platform: "node",
    format: "esm",
    target: "node20",
    // Packages as modules, where they are that too: what nobody uses of them is left out.
    mainFields: ["module", "main"],
    external: ["libsql"],
    // Packages written for the older kind of modules ask for what belongs to Node by this.
    banner: {
      js: 'import { createRequire as requiring } from "node:module"; const require = requiring(import.meta.url);',
    },
    alias: {
      "@twin-petal/core": join(root, "core/src/index.ts"),
      "@twin-petal/host": join(root, "host/src/nodeHost.ts"),
      // Its other form looks for files beside itself.
      "css-tree": "css-tree/dist/csstree.esm",
    },
    sourcemap: true,
    logLevel: "warning",
  });
}

/** Starts the built server over an empty folder, and stops it once it answers. */
async function seedFolder(folder) {
  rmSync(join(root, folder), { recursive: true, force: true });
  const server = spawn(process.execPath, ["server/dist/main.js"], {
    cwd: root,
    stdio: ["ignore", "pipe", "inherit"],
    env: { ...process.env, PORT: "0", TWIN_PETAL_DATA: join(root, folder) },
  });
  server.stdout.once("data", () => server.kill());
  await once(server, "exit");
}

function newest(path) {
  const found = statSync(path);
  if (!found.isDirectory()) return found.mtimeMs;
  return Math.max(found.mtimeMs, ...readdirSync(path).map((name) => newest(join(path, name))));
}

function isStale({ result, sources }) {
  const built = join(root, result);
  if (!existsSync(built)) return true;
  const shared = ["package-lock.json", "scripts/build.mjs"];
  return Math.max(...[...sources, ...shared].map((source) => newest(join(root, source)))) > statSync(built).mtimeMs;
}

/** Builds those of the named targets that are older than their sources. */
export async function build(names) {
  const wanted = names.includes("all") ? Object.keys(TARGETS) : names;
  for (const name of wanted) {
    const target = TARGETS[name];
    if (!target)
      throw new Error(`there is nothing called “${name}” to build; there are ${Object.keys(TARGETS).join(", ")}`);
    if (!isStale(target)) continue;
    console.error(`Building ${name} …`);
    await target.run();
  }
}

if (process.argv[1] && import.meta.url === pathToFileURL(process.argv[1]).href) await build(process.argv.slice(2));
