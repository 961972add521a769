import { execFileSync } from "node:child_process";
import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import type { Page } from "@playwright/test";
import { PNG } from "pngjs";
import { differenceOf } from "../core/test/pictureDifference";
import { Desk } from "./desk";
import { expect, test } from "./server";

/** Pixels the desk leaves free around a sheet that is shown whole. */
const ROOM = 36;
/** Dots an inch at which two viewers of the SVG are compared. */
const DPI = "96";

interface Rectangle {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

/** The whole pixels within a rectangle of a picture. */
function within(picture: PNG, { left, top, width, height }: Rectangle): PNG {
  const [x, y] = [Math.ceil(left) + 1, Math.ceil(top) + 1];
  const cut = new PNG({ width: Math.floor(left + width) - x - 1, height: Math.floor(top + height) - y - 1 });
  PNG.bitblt(picture, cut, x, y, cut.width, cut.height, 0, 0);
  return cut;
}

/** An SVG as Chromium itself draws it, at a place of an empty white page. */
async function drawnByBrowser(page: Page, svg: string, { left, top, width, height }: Rectangle): Promise<PNG> {
  const source = `data:image/svg+xml;base64,${Buffer.from(svg).toString("base64")}`;
  await page.setContent(
    `<body style="margin:0;background:#fff"><img style="position:absolute;left:${left}px;top:${top}px;width:${width}px;height:${height}px" src="${source}"></body>`,
  );
  await page.waitForFunction(() => document.querySelector("img")?.complete);
  return PNG.sync.read(await page.screenshot());
}

/** A sheet's size in a design file, 200 mm where it is left out. */
function sheetOf(design: unknown): { width: number; height: number } {
  const at = (holder: unknown, key: string): unknown =>
    typeof holder === "object" && holder !== null ? Reflect.get(holder, key) : undefined;
  const side = (key: string) => Number(at(at(design, "sheet"), key) ?? 200);
  return { width: side("width"), height: side("height") };
}

/** The desk's picture and where the sheet is in it. */
async function onDesk(page: Page, name: string, size: { width: number; height: number }) {
  const desk = new Desk(page);
  await desk.open(name);
  await page.addStyleTag({ content: "#sheet ~ * { visibility: hidden !important }" });
  await desk.ready();
  const frame = await page.locator("#sheet").boundingBox();
  if (!frame) throw new Error("no sheet");
  const picture = PNG.sync.read(await page.locator("#sheet").screenshot());
  const scale = Math.min((frame.width - 2 * ROOM) / size.width, (frame.height - 2 * ROOM) / size.height);
  const [width, height] = [size.width * scale, size.height * scale];
  return { picture, sheet: { left: (frame.width - width) / 2, top: (frame.height - height) / 2, width, height } };
}

for (const file of readdirSync("demo")) {
  const name = file.replace(".petal.json", "");
  test(`${name}: the desk, the SVG in the browser and in another viewer differ by less than 1 %`, async ({
    page,
    request,
  }) => {
    const design = readFileSync(join("demo", file), "utf8");
    const size = sheetOf(JSON.parse(design));
    const headers = { "content-type": "application/json" };
    const svg = await request.post("/api/make?as=svg", { headers, data: design });
    if (!svg.ok()) throw new Error("the design could not be made");
    const vectors = await svg.text();

    const { picture, sheet } = await onDesk(page, name, size);
    const browser = await drawnByBrowser(page, vectors, sheet);
    expect(differenceOf(within(picture, sheet), within(browser, sheet))).toBeLessThan(0.01);

    // The other viewers are compared with this one where the files are made.
    const pixels = PNG.sync.read(
      execFileSync("rsvg-convert", ["-d", DPI, "-p", DPI], { input: vectors, maxBuffer: 2 ** 28 }),
    );
    const whole = { left: 0, top: 0, width: pixels.width, height: pixels.height };
    await page.setViewportSize({ width: pixels.width, height: pixels.height });
    const large = await drawnByBrowser(page, vectors, whole);
    expect(differenceOf(within(pixels, whole), within(large, whole))).toBeLessThan(0.01);
  });
}
