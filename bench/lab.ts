import { createServer } from "node:http";
import { chromium, type Browser, type Page } from "@playwright/test";
import { toFile, type Design } from "@twin-petal/core";
import { LAUNCH } from "../e2e/launch";
import { newDataFolder, startServer } from "../server/test/running";
import type { Row } from "./row";
import { YARDSTICK_PAGE, YARDSTICK_WORKER } from "./yardstick";

/** A browser, the built application, and a page that only draws. */
export interface Lab {
  readonly browser: Browser;
  /** Where the application is. */
  readonly app: string;
  /** Where the page is that only draws. */
  readonly yardstick: string;
}

/** Measures in a browser of its own over a server of its own. */
export function inLab(measure: (lab: Lab) => Promise<Row[]>): () => Promise<Row[]> {
  return async () => {
    const app = await startServer(newDataFolder(), { PICTURE_REST: "3600000" });
    const yardstick = await startYardstick();
    const browser = await chromium.launch(LAUNCH);
    try {
      return await measure({ browser, app: app.address, yardstick: yardstick.address });
    } finally {
      await browser.close();
      await app.kill();
      yardstick.end();
    }
  };
}

async function startYardstick() {
  const server = createServer((request, response) => {
    const script = request.url === "/worker.js";
    response.setHeader("Content-Type", script ? "text/javascript" : "text/html");
    response.end(script ? YARDSTICK_WORKER : YARDSTICK_PAGE);
  });
  await new Promise<void>((resolve) => server.listen(0, "127.0.0.1", resolve));
  const address = server.address();
  if (typeof address !== "object" || !address) throw new Error("the yardstick has no address");
  return { address: `http://127.0.0.1:${address.port}`, end: () => server.close() };
}

export async function openDesk({ browser, app }: Lab, design: Design): Promise<Page> {
  const created = await fetch(`${app}/api/designs`, {
    method: "POST",
    headers: { "Content-Type": "application/json" },
    body: JSON.stringify(toFile(design)),
  });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(app + (created.headers.get("Location") ?? "").replace("/api", ""));
  await page.waitForSelector("#sheet[data-painted=yes]", { timeout: 60_000 });
  // Pictures for the parts strip and the count of coinciding copies follow the first picture.
  await page.waitForTimeout(2_500);
  return page;
}
