import { readdirSync } from "node:fs";
import { test as base, type BrowserContext, type CDPSession, type Page } from "@playwright/test";
import { newDataFolder, startServer, type Running } from "../server/test/running";

/** For calls after a pause: a connection left idle may be closed by the server just as it is used again. */
export const RETRIED = { maxRetries: 2 };

/** Which designs there are before any test has begun one. */
const DEMO = new Set(readdirSync("demo").map((file) => file.replace(".petal.json", "")));

/** A browser's profile that stays warm from test to test: what was loaded and compiled once is there for the next. */
interface Profile {
  readonly context: BrowserContext;
  /** A page of the application's that shows nothing; what it opens shares its process. */
  readonly resting: Page;
  /** Reaches what pages have stored, though none is open. */
  readonly storage: CDPSession;
}

/**
 * A test with a server and a profile of its worker's own; the page's base address is that server's. What it begins on the server, and
 * what it keeps in the browser, is gone after it.
 */
export const test = base.extend<{ tidied: void }, { server: Running; profile: Profile }>({
  server: [
    // oxlint-disable-next-line no-empty-pattern -- the runner reads the fixtures wanted from this pattern
    async ({}, use) => {
      // Pictures are made when they are asked for: otherwise they would be made beside the tests.
      const server = await startServer(newDataFolder(), { PICTURE_REST: "3600000" });
      await use(server);
      await server.kill();
    },
    { scope: "worker" },
  ],
  profile: [
    async ({ browser, server }, use) => {
      const context = await browser.newContext({ baseURL: server.address, viewport: { width: 1280, height: 800 } });
      const resting = await context.newPage();
      await resting.goto("/api/health");
      await use({ context, resting, storage: await context.newCDPSession(resting) });
      await context.close();
    },
    { scope: "worker" },
  ],
  context: async ({ profile: { context, resting, storage }, server }, use) => {
    await use(context);
    await context.unrouteAll({ behavior: "ignoreErrors" });
    await context.setOffline(false);
    await context.clearPermissions();
    for (const page of context.pages()) if (page !== resting) await page.close();
    await storage.send("Storage.clearDataForOrigin", {
      origin: server.address,
      storageTypes: "indexeddb,local_storage",
    });
  },
  page: async ({ context, profile: { resting } }, use) => {
    const opening = context.waitForEvent("page");
    await resting.evaluate(() => void window.open("about:blank"));
    await use(await opening);
  },
  tidied: [
    async ({ request }, use) => {
      await use();
      const list = await request.get("/api/designs", RETRIED);
      const { designs }: { designs: readonly { readonly id: string }[] } = await list.json();
      for (const { id } of designs) if (!DEMO.has(id)) await request.delete(`/api/designs/${id}`);
    },
    { auto: true },
  ],
  baseURL: async ({ server }, use) => use(server.address),
});

export { expect } from "@playwright/test";
