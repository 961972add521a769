import type { Page } from "@playwright/test";
import { watchBlocks } from "./blocks";
import { inLab, type Lab } from "./lab";
import type { Group } from "./group";
import { median } from "./median";
import type { Row } from "./row";

const DESIGNS = 1_000;
const SAVES = 500;
const ROUNDS = 5;
const JSON_HEADERS = { "Content-Type": "application/json" };

export const keeping: Group = {
  name: "keeping",
  about: "A thousand designs on the wall, and five hundred saves of one of them.",
  folders: ["server/src", "web/src/wall"],
  measure: inLab(benchKeeping),
};

/** A thousand designs on the wall, and five hundred saves of one of them. */
async function benchKeeping({ browser, app }: Lab): Promise<Row[]> {
  const ids: string[] = [];
  for (let number = 0; number < DESIGNS; number++) ids.push(await create(app, number));
  const [kept = ""] = ids;
  for (let save = 1; save < SAVES; save++) await saveOn(app, kept, save);
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  // What the pictures are made of was painted before: the wall shows, it does not wait for painters.
  for (const id of ids) await fetch(`${app}/api/designs/${id}/picture.png?revision=1`);
  const first: number[] = [];
  for (let round = 0; round < ROUNDS; round++) first.push(await firstPictures(page, app));
  const blocks = await blocksOfScrolling(page, watchBlocks);
  const history = await historyTimes(page, app, kept);
  await page.close();
  const row = (what: string, values: readonly number[], limit: number): Row => {
    return { what, measured: median(values), yardstick: null, unit: "ms", limit };
  };
  return [
    row("first pictures on a wall of 1,000 designs", first, 1_000),
    row("longest block while scrolling it", blocks, 50),
    row("opening the history of 500 saves", history, 300),
  ];
}

const rosette = (name: string, count: number) => ({
  format: "twin-petal/1",
  name,
  parts: [{ id: "a", motif: { kind: "leaf", length: 80 }, rules: [{ kind: "turn", count }] }],
});

async function create(app: string, number: number): Promise<string> {
  const body = JSON.stringify(rosette(`Vent ${number}`, 12 + (number % 9)));
  const made = await fetch(`${app}/api/designs`, { method: "POST", headers: JSON_HEADERS, body });
  return (made.headers.get("Location") ?? "").replace("/api/designs/", "");
}

async function saveOn(app: string, id: string, revision: number): Promise<void> {
  const body = JSON.stringify(rosette(`Vent, save ${revision}`, 12 + (revision % 40)));
  const headers = { ...JSON_HEADERS, "If-Match": `"${revision}"` };
  await fetch(`${app}/api/designs/${id}`, { method: "PUT", headers, body });
}

/** From the call for the page to a whole screen of pictures. */
async function firstPictures(page: Page, app: string): Promise<number> {
  await page.goto(app, { waitUntil: "commit" });
  await page.waitForFunction(() => {
    const seen = [...document.querySelectorAll("img")].filter((image) => {
      const { top, bottom } = image.getBoundingClientRect();
      return top < innerHeight && bottom > 0;
    });
    return seen.length >= 8 && seen.every((image) => image.complete && image.naturalWidth > 0);
  });
  // Navigation began at nought.
  return page.evaluate(() => performance.now());
}

async function blocksOfScrolling(page: Page, watchBlocks: (page: Page) => Promise<void>): Promise<number[]> {
  await watchBlocks(page);
  await page.mouse.move(640, 500);
  const blocks: number[] = [];
  for (let round = 0; round < ROUNDS; round++) {
    await page.evaluate(() => {
      window.longest = 0;
    });
    for (let turn = 0; turn < 120; turn++) {
      await page.mouse.wheel(0, 240);
      await page.waitForTimeout(16);
    }
    blocks.push(await page.evaluate(() => window.longest));
  }
  return blocks;
}

/** From the click to the list of saves. */
async function historyTimes(page: Page, app: string, id: string): Promise<number[]> {
  const times: number[] = [];
  for (let round = 0; round < ROUNDS; round++) {
    await page.goto(`${app}/designs/${id}`);
    await page.waitForSelector("#sheet[data-painted=yes]");
    await page.waitForTimeout(1_000);
    times.push(
      await page.evaluate(async () => {
        const began = performance.now();
        const button = document.getElementById("takes");
        button?.click();
        while (!document.querySelector('[aria-label="Earlier saves"] li')) await new Promise(requestAnimationFrame);
        return performance.now() - began;
      }),
    );
  }
  return times;
}
