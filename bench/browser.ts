import { createServer } from "node:http";
import { spawn } from "node:child_process";
import { mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { chromium, type Browser, type Page } from "@playwright/test";
import { buildScene, pathData, toFile } from "@twin-petal/core";
import { rosettes } from "./designs";
import { median, type Row } from "./table";
import { YARDSTICK_PAGE, YARDSTICK_WORKER } from "./yardstick";

const FLAGS = [
  "--no-sandbox",
  "--disable-gpu",
  "--disable-quic",
  "--no-first-run",
  "--disable-background-networking",
  "--disable-component-update",
  "--disable-sync",
];
const LIMITS = new Map([[10_000, 1.3]]);

/** The interface in a real browser, beside a bare canvas loop in the same browser. */
export async function benchBrowser(counts: readonly number[]): Promise<Row[]> {
  const app = await startApp();
  const yardsticks = await startYardstick();
  const browser = await chromium.launch({ executablePath: "/usr/bin/chromium", args: FLAGS });
  try {
    const rows: Row[] = [];
    for (const count of counts) rows.push(await benchChange(browser, app.address, yardsticks.address, count));
    rows.push(await benchBlock(browser, app.address), ...(await benchFirstLoad(browser, app.address)));
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

async function openDesk(browser: Browser, address: string, count: number): Promise<Page> {
  const created = await fetch(`${address}/api/designs`, {
    method: "POST",
    headers: { "Content-Type": "application/json" },
    body: JSON.stringify(toFile(rosettes(count))),
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
  const desk = await openDesk(browser, app, count);
  const box = await desk.locator("#sheet").boundingBox();
  const bare = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await bare.goto(yardstick);
  const geometry = buildScene(rosettes(count)).parts[0]?.geometry;
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

/** Presses an arrow key on the motif's width again and again, each time waiting for the finished picture. */
function changeTimes(page: Page, rounds: number): Promise<number[]> {
  return page.evaluate(async (many) => {
    const sheet = document.querySelector("#sheet");
    const number = document.querySelector('[role=spinbutton][aria-label="width"]');
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
  }, rounds);
}

/** The longest the main thread is kept from answering while a number is dragged at 10,000 copies. */
async function benchBlock(browser: Browser, app: string): Promise<Row> {
  const page = await openDesk(browser, app, 10_000);
  const box = await page.getByRole("spinbutton", { name: "width", exact: true }).boundingBox();
  if (!box) throw new Error("no number to drag");
  await page.evaluate(() => {
    window.longest = 0;
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) window.longest = Math.max(window.longest, duration);
    }).observe({ type: "long-animation-frame", buffered: false });
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
  await page.mouse.move(box.x + 8, box.y + 8);
  await page.mouse.down();
  for (let move = 0; move < 120; move++) {
    await page.mouse.move(box.x + 8 + 60 * Math.sin(move / 9), box.y + 8);
    await page.waitForTimeout(16);
  }
  await page.mouse.up();
  const measured = await page.evaluate(() => window.longest);
  await page.close();
  return { what: "longest block while dragging, 10,000 copies", measured, yardstick: null, unit: "ms", limit: 50 };
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
