import { spawn, type ChildProcess } from "node:child_process";
import { mkdtempSync, readdirSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { test as base } from "@playwright/test";

/** For calls after a pause: a connection left idle may be closed by the server just as it is used again. */
export const RETRIED = { maxRetries: 2 };

interface Running {
  readonly address: string;
  readonly process: ChildProcess;
}

/** Starts the built server on a free port over an empty data folder, which it seeds. */
async function start(): Promise<Running> {
  const data = mkdtempSync(join(tmpdir(), "twin-petal-e2e-"));
  const child = spawn(process.execPath, ["server/dist/main.js"], {
    env: { ...process.env, PORT: "0", TWIN_PETAL_DATA: data },
    stdio: ["ignore", "pipe", "inherit"],
  });
  const address = await new Promise<string>((resolve, reject) => {
    let said = "";
    child.stdout.on("data", (piece: Buffer) => {
      said += piece.toString();
      const [found] = /http:\/\/[\d.:]+/.exec(said) ?? [];
      if (found) resolve(found);
    });
    child.on("exit", (code) => reject(new Error(`the server ended with ${code}`)));
  });
  return { address, process: child };
}

/** Which designs there are before any test has begun one. */
const DEMO = new Set(readdirSync("demo").map((file) => file.replace(".petal.json", "")));

/** A test with a server of its worker's own; the page's base address is that server's. What it begins is gone after it. */
export const test = base.extend<{ tidied: void }, { server: Running }>({
  tidied: [
    async ({ request }, use) => {
      await use();
      const list = await request.get("/api/designs", RETRIED);
      const { designs }: { designs: readonly { readonly id: string }[] } = await list.json();
      for (const { id } of designs) if (!DEMO.has(id)) await request.delete(`/api/designs/${id}`);
    },
    { auto: true },
  ],
  server: [
    // eslint-disable-next-line no-empty-pattern -- the runner reads the fixtures wanted from this pattern
    async ({}, use) => {
      const server = await start();
      await use(server);
      server.process.kill();
    },
    { scope: "worker" },
  ],
  baseURL: async ({ server }, use) => use(server.address),
});

export { expect } from "@playwright/test";
