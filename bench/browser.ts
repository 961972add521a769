import { createServer } from "node:http";
import { spawn } from "node:child_process";
import { mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { chromium, type Browser, type Page } from "@playwright/test";
import { buildScene, pathData, toFile, type Design } from "@twin-petal/core";
import { LAUNCH } from "../e2e/launch";
import { drawnRing, rosettes } from "./designs";
import { benchKeeping } from "./keeping";
import { benchSolidView } from "./solidView";
import { benchStitchOut } from "./stitchOut";
import { median, type Row } from "./table";
import { YARDSTICK_PAGE, YARDSTICK_WORKER } from "./yardstick";

const LIMITS = new Map([[10_000, 1.3]]);

/** The interface in a real browser, beside a bare canvas loop in the same browser. */
export async function benchBrowser(counts: readonly number[], only: string | undefined): Promise<Row[]> {
  const app = await startApp();
  const yardsticks = await startYardstick();
  const browser = await chromium.launch(LAUNCH);
  try {
    const parts: readonly (readonly [string, () => Promise<Row[]>])[] = [
      ...counts.map(
        (count) =>
          ["change", async () => [await benchChange(browser, app.address, yardsticks.address, count)]] as const,
      ),
      ["nodes", () => benchNodes(browser, app.address, yardsticks.address)],
      ["block", async () => [await benchBlock(browser, app.address)]],
      ["neighbours", () => benchNeighbours(browser, app.address)],
      ["solidView", () => benchSolidView(browser, app.address, openDesk, blocksOfDrags)],
      ["stitchOut", () => benchStitchOut(browser, app.address, openDesk, watchBlocks)],
      ["keeping", () => benchKeeping(browser, app.address, watchBlocks)],
      ["load", () => benchFirstLoad(browser, app.address)],
    ];
    const rows: Row[] = [];
    for (const [name, measure] of parts) if (only === undefined || only === name) rows.push(...(await measure()));
    return rows;
  } finally {
    await browser.close();
    app.end();
    yardsticks.end();
  }
}

async function startApp() {
  const data = mkdtempSync(join(tmpdir(), "twin-petal-bench-"));
  const child = spawn(process.execPath, ["server/dist/main.js"], {
    env: { ...process.env, PORT: "0", TWIN_PETAL_DATA: data },
    stdio: ["ignore", "pipe", "inherit"],
  });
  const address = await new Promise<string>((resolve) => {
    child.stdout.on("data", (piece: Buffer) => {
      const [found] = /http:\/\/[\d.:]+/.exec(piece.toString()) ?? [];
      if (found) resolve(found);
    });
  });
  return { address, end: () => child.kill() };
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

async function openDesk(browser: Browser, address: string, design: Design): Promise<Page> {
  const created = await fetch(`${address}/api/designs`, {
    method: "POST",
    headers: { "Content-Type": "application/json" },
    body: JSON.stringify(toFile(design)),
  });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(address + (created.headers.get("Location") ?? "").replace("/api", ""));
  await page.waitForSelector("#sheet[data-painted=yes]", { timeout: 60_000 });
  // Pictures for the parts strip and the count of coinciding copies follow the first picture.
  await page.waitForTimeout(2_500);
  return page;
}

/** From a changed number to the finished picture, change after change; beside a worker that only draws. */
async function benchChange(browser: Browser, app: string, yardstick: string, count: number): Promise<Row> {
  const rounds = count >= 100_000 ? 5 : 15;
  const desk = await openDesk(browser, app, rosettes(count));
  const bare = await openYardstick(browser, yardstick, desk, rosettes(count));
  const times: [number[], number[]] = [[], []];
  for (let set = 0; set < 4; set++) {
    await desk.bringToFront();
    times[0].push(...(await changeTimes(desk, rounds)));
    await bare.bringToFront();
    times[1].push(...(await bare.evaluate((many) => window.draw(many), rounds)));
  }
  await desk.close();
  await bare.close();
  return {
    what: `change a number, ${count.toLocaleString("en")} copies`,
    measured: median(times[0]),
    yardstick: median(times[1]),
    unit: "ms",
    limit: LIMITS.get(count) ?? null,
  };
}

/** A page that draws a design's outlines at the desk's size, and nothing else. */
async function openYardstick(browser: Browser, yardstick: string, desk: Page, design: Design): Promise<Page> {
  const box = await desk.locator("#sheet").boundingBox();
  const bare = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await bare.goto(yardstick);
  const geometry = buildScene(design).parts[0]?.geometry;
  if (!geometry || !box) throw new Error("nothing to draw");
  const scale = (Math.min(box.width, box.height) - 72) / 400;
  await bare.evaluate((job) => window.prepare(job), {
    width: box.width,
    height: box.height,
    scale,
    outline: pathData(geometry.path),
    matrices: Array.from(geometry.placements.matrices),
    color: "#1E6F5C",
  });
  return bare;
}

/** A node of a motif of 200 is dragged, 500 copies following: frames, and how long the main thread is kept. */
async function benchNodes(browser: Browser, app: string, yardstick: string): Promise<Row[]> {
  const design = drawnRing(200, 500);
  const desk = await openDesk(browser, app, design);
  const bare = await openYardstick(browser, yardstick, desk, design);
  await desk.bringToFront();
  await desk.keyboard.press("2");
  await desk.waitForSelector("#node-layer");
  await desk.locator("#node-layer").press(".");
  const times: [number[], number[]] = [[], []];
  for (let set = 0; set < 4; set++) {
    await desk.bringToFront();
    times[0].push(...(await frameTimes(desk, "#node-layer", 15)));
    await bare.bringToFront();
    times[1].push(...(await bare.evaluate((many) => window.draw(many), 15)));
  }
  await bare.close();
  await desk.bringToFront();
  const box = await desk.locator("[data-testid=node-0]").boundingBox();
  if (!box) throw new Error("no node to drag");
  const from = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  const blocks = await blocksOfDrags(desk, from, 12);
  await desk.close();
  return [
    {
      what: "drag a node of 200, 500 copies: a frame",
      measured: median(times[0]),
      yardstick: median(times[1]),
      unit: "ms",
      limit: 1.3,
    },
    {
      what: "longest block while dragging that node",
      measured: median(blocks),
      yardstick: null,
      unit: "ms",
      limit: 50,
    },
  ];
}

/** Presses an arrow key on the motif's width again and again, each time waiting for the finished picture. */
function changeTimes(page: Page, rounds: number): Promise<number[]> {
  return frameTimes(page, '[role=spinbutton][aria-label="width"]', rounds);
}

/** Presses an arrow key on something again and again, each time waiting for the finished picture. */
function frameTimes(page: Page, selector: string, rounds: number): Promise<number[]> {
  return page.evaluate(
    async ([target, many]) => {
      const sheet = document.querySelector("#sheet");
      const number = document.querySelector(target);
      if (!sheet || !number) throw new Error("this is no desk");
      const painted = () =>
        new Promise<void>((resolve) => {
          const observer = new MutationObserver(() => {
            if (sheet.getAttribute("data-painted") !== "yes") return;
            observer.disconnect();
            resolve();
          });
          observer.observe(sheet, { attributes: true });
        });
      const times: number[] = [];
      for (let round = 0; round < many; round++) {
        const began = performance.now();
        const key = round % 2 === 0 ? "ArrowUp" : "ArrowDown";
        const done = painted();
        number.dispatchEvent(new KeyboardEvent("keydown", { key, altKey: true, bubbles: true }));
        await done;
        times.push(performance.now() - began);
      }
      return times;
    },
    [selector, rounds] as const,
  );
}

/** The longest the main thread is kept from answering while a number is dragged at 10,000 copies. */
async function benchBlock(browser: Browser, app: string): Promise<Row> {
  const page = await openDesk(browser, app, rosettes(10_000));
  const box = await page.getByRole("spinbutton", { name: "width", exact: true }).boundingBox();
  if (!box) throw new Error("no number to drag");
  const blocks = await blocksOfDrags(page, { x: box.x + 8, y: box.y + 8 }, 60);
  await page.close();
  return {
    what: "longest block while dragging, 10,000 copies",
    measured: median(blocks),
    yardstick: null,
    unit: "ms",
    limit: 50,
  };
}

/**
 * A number of a design of 5,000 copies is changed in bursts with short rests, nine neighbours being painted whenever
 * it rests: frames beside the same without neighbours, and how long the main thread is kept in drags.
 */
async function benchNeighbours(browser: Browser, app: string): Promise<Row[]> {
  const page = await openDesk(browser, app, rosettes(5_000));
  const number = page.getByRole("spinbutton", { name: "width", exact: true });
  const show = async (tab: string) => {
    await page.getByRole("tab", { name: tab }).click();
    await number.focus();
  };
  const bursts = async () => {
    const times: number[] = [];
    for (let burst = 0; burst < 5; burst++) {
      times.push(...(await changeTimes(page, 6)));
      await page.waitForTimeout(350);
    }
    return times;
  };
  await show("Neighbours");
  await page.getByLabel("How many neighbours").selectOption("9");
  await page.waitForTimeout(3_000);
  const times: [number[], number[]] = [[], []];
  for (let set = 0; set < 4; set++) {
    await show("Neighbours");
    times[0].push(...(await bursts()));
    await show("Build-up");
    times[1].push(...(await bursts()));
  }
  await show("Neighbours");
  const box = await number.boundingBox();
  if (!box) throw new Error("no number to drag");
  const blocks = await blocksOfDrags(page, { x: box.x + 8, y: box.y + 8 }, 60);
  await page.close();
  return [
    {
      what: "change a number, 5,000 copies, nine neighbours",
      measured: median(times[0]),
      yardstick: median(times[1]),
      unit: "ms",
      limit: 1.2,
    },
    { what: "longest block while dragging it", measured: median(blocks), yardstick: null, unit: "ms", limit: 50 },
  ];
}

const DRAGS = 7;
const MOVES = 120;

/**
 * The longest block of the main thread in each of several drags. The machine is shared: what it takes away
 * shows in single drags, what the application does shows in all.
 */
async function blocksOfDrags(
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
function watchBlocks(page: Page): Promise<void> {
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

/** Kilobytes that cross the wire before the wall is there, as compressed; designs' pictures apart. */
async function benchFirstLoad(browser: Browser, app: string): Promise<Row[]> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  const session = await page.context().newCDPSession(page);
  await session.send("Network.enable");
  const addresses = new Map<string, string>();
  const sums = { application: 0, pictures: 0 };
  session.on("Network.responseReceived", ({ requestId, response }) => addresses.set(requestId, response.url));
  session.on("Network.loadingFinished", ({ requestId, encodedDataLength }) => {
    sums[addresses.get(requestId)?.includes("picture.png") ? "pictures" : "application"] += encodedDataLength;
  });
  await page.goto(app, { waitUntil: "networkidle" });
  await page.close();
  const row = (what: string, bytes: number, limit: number | null): Row => ({
    what,
    measured: bytes / 1024,
    yardstick: null,
    unit: "kB",
    limit,
  });
  return [
    row("first load of the wall, compressed", sums.application, 300),
    row("the demo designs' pictures beside it", sums.pictures, null),
  ];
}
