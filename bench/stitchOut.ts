import type { Page } from "@playwright/test";
import { stitched } from "./stitches";
import { watchBlocks } from "./blocks";
import { inLab, openDesk, type Lab } from "./lab";
import type { Group } from "./group";
import { median } from "./median";
import type { Row } from "./row";

const ROUNDS = 3;
/** How long it is watched, milliseconds. */
const WATCHED = 4_000;

export const stitchOut: Group = {
  name: "stitchOut",
  about: "50,000 stitches sewn out as fast as can be chosen.",
  folders: ["web/src/workshop/stitch"],
  measure: inLab(benchStitchOut),
};

/** 50,000 stitches sewn out as fast as can be chosen: how long frames take, and what keeps the page from answering. */
async function benchStitchOut(lab: Lab): Promise<Row[]> {
  const page = await openDesk(lab, stitched(120));
  await page.goto(`${page.url()}/stitch`);
  await page.waitForSelector("#stitch-view canvas[data-behind=no]", { timeout: 60_000 });
  await page.getByRole("combobox", { name: "a minute" }).selectOption("60000");
  await watchBlocks(page);
  const [frames, blocks]: [number[], number[]] = [[], []];
  for (let round = 0; round < ROUNDS; round++) {
    await page.getByRole("slider", { name: "Stitch" }).fill("30000");
    await page.waitForSelector("#stitch-view canvas[data-behind=no]", { timeout: 60_000 });
    await page.getByRole("button", { name: "Sew", exact: true }).click();
    await page.waitForTimeout(300);
    await page.evaluate(() => {
      window.longest = 0;
    });
    frames.push(await longestFrame(page));
    blocks.push(await page.evaluate(() => window.longest));
    await page.getByRole("button", { name: "Pause", exact: true }).first().click();
  }
  await page.close();
  const words = "the stitch-out of 50,000 stitches";
  return [
    { what: `frame of ${words}, 99 of 100`, measured: median(frames), yardstick: null, unit: "ms", limit: 33 },
    { what: `longest block of ${words}`, measured: median(blocks), yardstick: null, unit: "ms", limit: 50 },
  ];
}

/** The time from frame to frame that 99 of 100 keep, milliseconds. */
function longestFrame(page: Page): Promise<number> {
  return page.evaluate(
    (watched) =>
      new Promise<number>((resolve) => {
        const times: number[] = [];
        const began = performance.now();
        let last = began;
        const look = (now: number) => {
          times.push(now - last);
          last = now;
          if (now - began < watched) requestAnimationFrame(look);
          else resolve(times.sort((a, b) => a - b)[Math.floor(times.length * 0.99)] ?? 0);
        };
        requestAnimationFrame(look);
      }),
    WATCHED,
  );
}
