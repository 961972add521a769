import type { Page } from "@playwright/test";

declare global {
  interface Window {
    /** The longest block since it was last set to nought, milliseconds. */
    longest: number;
  }
}

const DRAGS = 7;
const MOVES = 120;

/**
 * The longest block of the main thread in each of several drags. The machine is shared: what it takes away
 * shows in single drags, what the application does shows in all.
 */
export async function blocksOfDrags(
  page: Page,
  from: { x: number; y: number },
  reach: number,
  { drags, moves } = { drags: DRAGS, moves: MOVES },
): Promise<number[]> {
  await watchBlocks(page);
  const blocks: number[] = [];
  for (let drag = 0; drag < drags; drag++) {
    await page.evaluate(() => {
      window.longest = 0;
    });
    await page.mouse.move(from.x, from.y);
    await page.mouse.down();
    for (let move = 0; move < moves; move++) {
      await page.mouse.move(from.x + reach * Math.sin(move / 9), from.y);
      await page.waitForTimeout(16);
    }
    await page.mouse.move(from.x, from.y);
    await page.mouse.up();
    blocks.push(await page.evaluate(() => window.longest));
    await page.waitForTimeout(1_000);
  }
  return blocks;
}

/** Notes the longest the main thread is kept from answering. */
export function watchBlocks(page: Page): Promise<void> {
  return page.evaluate(() => {
    window.longest = 0;
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) window.longest = Math.max(window.longest, duration);
    }).observe({ type: "longtask", buffered: false });
    // A task that comes round at once, over and over: the longest gap is the longest block.
    const channel = new MessageChannel();
    let last = performance.now();
    channel.port1.onmessage = () => {
      const now = performance.now();
      window.longest = Math.max(window.longest, now - last);
      last = now;
      setTimeout(() => {
        last = performance.now();
        channel.port2.postMessage(null);
      }, 1);
    };
    channel.port2.postMessage(null);
  });
}
