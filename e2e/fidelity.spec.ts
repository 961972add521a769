import { execFileSync } from "node:child_process";
import { mkdtempSync, readdirSync, readFileSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import type { APIRequestContext, Page } from "@playwright/test";
import { PNG } from "pngjs";
import { differenceOf } from "../core/test/pictureDifference";
import { Desk } from "./desk";
import { expect, RETRIED, test } from "./server";

/** Pixels the desk leaves free around a sheet that is shown whole. */
const ROOM = 36;
/**
 * Pixels of a compared picture's longer side, and the most dots an inch it has: thin lines need them all, effects are
 * soft, and slow to draw.
 */
const LONGEST = 1_000;
const LONGEST_SOFT = 560;
const MOST_DPI = 120;
const EFFECT_KEYS = ["shadow", "innerShadow", "glow", "grain", "texture"];
const EFFECTS = new RegExp(`"(${EFFECT_KEYS.join("|")})": \\{`);
const DEMO = readdirSync("demo").filter((name) => name.endsWith(".petal.json"));
const JSON_CONTENT = { "content-type": "application/json" };

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

/** Opens a design with nothing over its picture; answers where the sheet is in it. */
async function sheetOnDesk(page: Page, name: string, size: { width: number; height: number }): Promise<Rectangle> {
  const desk = new Desk(page);
  await desk.open(name);
  await page.addStyleTag({ content: "#sheet ~ * { visibility: hidden !important }" });
  await desk.ready();
  const frame = await page.locator("#sheet").boundingBox();
  if (!frame) throw new Error("no sheet");
  const scale = Math.min((frame.width - 2 * ROOM) / size.width, (frame.height - 2 * ROOM) / size.height);
  const [width, height] = [size.width * scale, size.height * scale];
  return { left: (frame.width - width) / 2, top: (frame.height - height) / 2, width, height };
}

/** The pictures viewers of the files make at one size, none of them written here but the first. */
async function viewed(page: Page, request: APIRequestContext, design: string, vectors: string): Promise<PNG[]> {
  const { width, height } = sheetOf(JSON.parse(design));
  const longest = EFFECTS.test(design) ? LONGEST_SOFT : LONGEST;
  const dpi = String(Math.min(MOST_DPI, Math.floor((longest * 25.4) / Math.max(width, height))));
  const made = async (as: string) => {
    const answer = await request.post(`/api/make?as=${as}`, { headers: JSON_CONTENT, data: design, ...RETRIED });
    if (!answer.ok()) throw new Error(`the design could not be made: ${await answer.text()}`);
    return answer.body();
  };
  const resvg = PNG.sync.read(await made(`png&dpi=${dpi}`));
  const limits = { maxBuffer: 2 ** 28 } as const;
  const rsvg = execFileSync("rsvg-convert", ["-w", String(resvg.width), "-h", String(resvg.height)], {
    input: vectors,
    ...limits,
  });
  const pdf = join(mkdtempSync(join(tmpdir(), "twin-petal-fidelity-")), "made.pdf");
  writeFileSync(pdf, await made(`pdf&dpi=${MOST_DPI}`));
  execFileSync("qpdf", ["--check", pdf], { stdio: "pipe" });
  const poppler = execFileSync("pdftoppm", ["-png", "-r", dpi, "-singlefile", pdf], limits);
  await page.setViewportSize({ width: resvg.width, height: resvg.height });
  const whole = { left: 0, top: 0, width: resvg.width, height: resvg.height };
  return [resvg, PNG.sync.read(rsvg), PNG.sync.read(poppler), await drawnByBrowser(page, vectors, whole)].map(
    (picture) => within(onWhite(picture), whole),
  );
}

/** A picture over white: a sheet without a ground is clear in some files. */
function onWhite(picture: PNG): PNG {
  const { data } = picture;
  for (let at = 0; at < data.length; at += 4) {
    const alpha = data[at + 3] ?? 255;
    for (let channel = 0; channel < 3; channel++) {
      data[at + channel] = ((data[at + channel] ?? 0) * alpha) / 255 + 255 - alpha;
    }
    data[at + 3] = 255;
  }
  return picture;
}

const LINE_KEYS = ["dash", "dots", "swell", "place", "cap"];
/** Motifs that bring paint of their own. */
const PAINTED_MOTIFS = ["text", "svg", "freehand", "part"];

/** What of a value a viewer has to draw in a way of its own: kinds of paint, blends, effects, kinds of lines. */
function painted(value: unknown, key = ""): string[] {
  if (typeof value === "string") return ["kind", "blend", "over"].includes(key) ? [`${key} ${value}`] : [];
  if (typeof value !== "object" || value === null) return [];
  const own = [...EFFECT_KEYS, ...LINE_KEYS].includes(key) ? [key] : [];
  return [...own, ...Object.entries(value).flatMap(([name, inner]) => painted(inner, name))];
}

/** What a design is painted by, and how its copies are joined; outlines and places are numbers to a viewer, whatever made them. */
function paintedBy(file: string): Set<string> {
  const { sheet, parts }: DrawnDesign = JSON.parse(readFileSync(join("demo", file), "utf8"));
  return new Set([
    ...painted(sheet.ground),
    ...parts.flatMap(({ motif: { kind }, join: joined, finish }) => [
      `join ${joined?.mode}`,
      ...(PAINTED_MOTIFS.includes(kind) ? [`motif ${kind}`] : []),
      ...painted(finish),
    ]),
  ]);
}

interface DrawnDesign {
  readonly sheet: { readonly ground?: unknown };
  readonly parts: readonly {
    readonly motif: { readonly kind: string };
    readonly join?: { readonly mode?: string };
    readonly finish?: unknown;
  }[];
}

/** The demo designs that show everything designs are painted by, always the one that adds most; all where MEMBERS is set. */
function fewestThatShowAll(): string[] {
  const shown = new Map(DEMO.map((file) => [file, paintedBy(file)]));
  const left = new Set([...shown.values()].flatMap((kinds) => [...kinds]));
  const taken: string[] = [];
  while (left.size > 0) {
    const adds = (file: string) => [...(shown.get(file) ?? [])].filter((kind) => left.has(kind));
    const [next = ""] = DEMO.toSorted((a, b) => adds(b).length - adds(a).length);
    for (const kind of adds(next)) left.delete(kind);
    taken.push(next);
  }
  return taken;
}

for (const file of process.env.MEMBERS ? DEMO : fewestThatShowAll()) {
  const name = file.replace(".petal.json", "");
  test(`${name}: the desk, the SVG in three viewers and the PDF differ by less than 1 %`, async ({ page, request }) => {
    const design = readFileSync(join("demo", file), "utf8");
    const svg = await request.post(`/api/make?as=svg&dpi=${MOST_DPI}`, {
      headers: JSON_CONTENT,
      data: design,
      ...RETRIED,
    });
    const vectors = await svg.text();

    const sheet = await sheetOnDesk(page, name, sheetOf(JSON.parse(design)));
    const viewer = await page.context().newPage();
    await viewer.setViewportSize({ width: 1280, height: 800 });
    const browser = within(await drawnByBrowser(viewer, vectors, sheet), sheet);
    await page.bringToFront();
    await expect
      .poll(async () => {
        const shown = PNG.sync.read(await page.locator("#sheet").screenshot());
        return differenceOf(within(shown, sheet), browser);
      })
      .toBeLessThan(0.01);

    expectAlike(await viewed(viewer, request, design, vectors));
  });
}

/** Gradients that grow clear, fills and lines that are clear as one, and one gradient over many copies. */
const CLEAR = JSON.stringify({
  format: "twin-petal/1",
  name: "Clear",
  sheet: { width: 120, height: 120, ground: "#F2EBDC" },
  parts: [
    { id: "b", motif: { kind: "rectangle", width: 80, height: 30 }, finish: { fill: "#17566B" } },
    {
      id: "a",
      motif: { kind: "petal", length: 50, width: 24 },
      rules: [{ kind: "turn", count: 7 }],
      finish: {
        fill: {
          kind: "linear",
          stops: [
            { at: 0, color: "#C8442B" },
            { at: 1, color: "#C8442B10" },
          ],
        },
        line: { width: 2, paint: "#2B2140" },
        opacity: 0.6,
      },
    },
    {
      id: "d",
      motif: { kind: "disc", radius: 12 },
      rules: [{ kind: "ring", count: 5, radius: 10 }],
      at: { x: 34, y: 36 },
      finish: {
        fill: {
          kind: "radial",
          over: "whole",
          stops: [
            { at: 0, color: "#1E6F5C" },
            { at: 1, color: "#1E6F5C22" },
          ],
        },
      },
    },
    {
      id: "e",
      motif: { kind: "disc", radius: 12 },
      rules: [{ kind: "ring", count: 5, radius: 10 }],
      at: { x: -36, y: 36 },
      finish: {
        fill: {
          kind: "linear",
          over: "whole",
          stops: [
            { at: 0, color: "#C8442B" },
            { at: 1, color: "#17566B" },
          ],
        },
      },
    },
  ],
});

test("what is clear within a gradient, and as a whole, is so in the SVG's viewers and the PDF's", async ({
  page,
  request,
}) => {
  const svg = await request.post(`/api/make?as=svg&dpi=${MOST_DPI}`, {
    headers: JSON_CONTENT,
    data: CLEAR,
    ...RETRIED,
  });
  expectAlike(await viewed(page, request, CLEAR, await svg.text()));
});

/** The pictures of resvg, rsvg, poppler and Chromium, each beside each. */
function expectAlike(pictures: readonly PNG[]): void {
  const names = ["resvg", "rsvg", "poppler", "Chromium"];
  pictures.forEach((one, index) =>
    pictures.slice(index + 1).forEach((other, further) => {
      const which = `${names[index]} and ${names[index + 1 + further]}`;
      expect(differenceOf(one, other), which).toBeLessThan(0.01);
    }),
  );
}
