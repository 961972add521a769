import { readFileSync } from "node:fs";
import { join } from "node:path";
import { chromium, type Browser, type Page } from "@playwright/test";
import { LAUNCH } from "../../e2e/launch";
import { newDataFolder, startServer } from "../../server/test/running";
import { inRepository } from "../../server/src/settings";
import { memoryOf } from "../browserMemory";
import type { Reported } from "../reported";

/** Designs that are edited: one of faces, one woven, one that stands up. */
const DESIGNS = ["twin-current-medallion", "robe-hook-knot", "soap-basket"];
/** Edits after which memory is looked at first, and numbers that are gone round. */
const SETTLED = 50;
const NUMBERS = 4;
/** What the page and its workers hold may grow by so much from then on, megabytes. */
const MOST_GROWN = 50;
/** Between two edits, milliseconds. */
const BETWEEN = 30;

/** Many edits of one design after the other on the desk: what the page and its workers hold does not grow with them. */
export async function edits(many = 500): Promise<Reported[]> {
  const server = await startServer(newDataFolder());
  const browser = await chromium.launch(LAUNCH);
  const lines: Reported[] = [];
  for (const name of DESIGNS) lines.push(await edited(browser, server.address, name, many));
  await browser.close();
  await server.kill();
  return lines;
}

async function edited(browser: Browser, address: string, name: string, many: number): Promise<Reported> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  const design = readFileSync(join(inRepository("demo"), `${name}.petal.json`), "utf8");
  const headers = { "content-type": "application/json" };
  const laid = await page.request.post(`${address}/api/designs`, { headers, data: design });
  await page.goto(`${address}${laid.headers()["location"]?.replace("/api", "") ?? ""}`);
  await page.waitForSelector("#sheet[data-painted=yes]");
  await edit(page, 0, SETTLED);
  const settled = await memoryOf(browser, page);
  await edit(page, SETTLED, many);
  const after = await memoryOf(browser, page);
  const [grown, given] = [after.held - settled.held, after.given - settled.given];
  await page.close();
  const faults = grown > MOST_GROWN ? [`${name}: grew by ${grown.toFixed(0)} MB`] : [];
  const cells = [`${many} edits`, `${grown.toFixed(0)} MB more held`, `${given.toFixed(0)} MB more given`];
  return { what: `edits of ${name}`, cells: [...cells, String(faults.length)], faults };
}

/** Turns some numbers down and up again by keys, the first so many edits being made already. */
async function edit(page: Page, from: number, to: number): Promise<void> {
  const numbers = page.getByRole("spinbutton").filter({ visible: true });
  for (let made = from; made < to; made++) {
    await numbers.nth(Math.floor(made / 5) % NUMBERS).focus();
    await page.keyboard.press(Math.floor(made / 20) % 2 === 0 ? "ArrowDown" : "ArrowUp");
    await page.waitForTimeout(BETWEEN);
  }
}
