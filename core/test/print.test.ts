import { execFileSync } from "node:child_process";
import { mkdtempSync, readFileSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { beforeAll, describe, expect, test } from "@jest/globals";
import { decode } from "fast-png";
import fc from "fast-check";
import { PDFDocument } from "pdf-lib";
import {
  checkPrint,
  DEVICES,
  formatOf,
  layOutPages,
  makeFile,
  mostOnPage,
  type Design,
  type PrintChecked,
  type PrintSettings,
} from "../src";
import { MAKING_DEFAULT } from "../src/design/makingFields";
import { resolveDesign } from "../src/design/resolve";
import { emptyDesign } from "../src";
import { apply } from "../src/geometry/matrix";
import { buildScene } from "../src/scene/sceneBuilder";
import { TEST_HOST, withGeometryEngine, withRasteriser } from "./prepared";
import { members } from "./randomMembers";
import { designWith } from "./testDesign";

beforeAll(async () => {
  await Promise.all([withGeometryEngine(), withRasteriser()]);
});

const A4 = { width: 210, height: 297 };
const usual = resolveDesign({ ...emptyDesign(""), making: MAKING_DEFAULT }).making.print;
const settingsOf = (change: Partial<PrintSettings>): PrintSettings => ({ ...usual, ...change });

describe("how a sheet lies on pages", () => {
  test("A3 upright over A4 upright, margins 5, overlap 10: 2 × 2 pages", () => {
    const { across, down, pages } = layOutPages(
      { width: 297, height: 420 },
      settingsOf({ paper: A4, margin: 5, overlap: 10 }),
    );
    expect([across, down, pages.length]).toEqual([2, 2, 4]);
    const [first, second] = pages;
    expect(first?.windows[0]?.clip).toEqual({ left: 5, top: 5, right: 205, bottom: 292 });
    // The same 10 mm of the sheet lie at the right of one page and at the left of the next.
    const leftEdge = (page: typeof first) => (page?.windows[0]?.matrix[4] ?? 0) - 297 / 2;
    expect(leftEdge(first)).toBeCloseTo(5, 9);
    expect(leftEdge(second)).toBeCloseTo(5 - 190, 9);
  });

  test("A6 cards on A4 with no gap and no margin: 2 × 2", () => {
    const card = { width: 105, height: 148 };
    const settings = settingsOf({ paper: A4, margin: 0 });
    expect(mostOnPage(card, settings)).toEqual({ columns: 2, rows: 2 });
    const { pages, beyond } = layOutPages(card, settingsOf({ ...settings, columns: 2, rows: 2 }));
    expect([pages.length, pages[0]?.windows.length, beyond]).toEqual([1, 4, 0]);
    expect(mostOnPage(card, settingsOf({ ...settings, turned: true }))).toEqual({ columns: 1, rows: 2 });
  });

  test("tiles: two crop marks at each corner of the sheet, and no mark where the printer does not reach", () => {
    const side = fc.integer({ min: 220, max: 900 });
    const settings = fc.record({
      margin: fc.integer({ min: 0, max: 15 }),
      overlap: fc.integer({ min: 0, max: 20 }),
      bleed: fc.integer({ min: 0, max: 4 }),
    });
    fc.assert(
      fc.property(side, side, settings, (width, height, own) => {
        // On a page that a side just fits there is no room for marks beside it.
        const hasRoom = (size: number, paper: number) => {
          const left = paper - 2 * own.margin - size - 2 * own.bleed;
          return left < 0 || left >= 6;
        };
        fc.pre(hasRoom(width, A4.width) && hasRoom(height, A4.height));
        const { pages } = layOutPages({ width, height }, settingsOf({ ...own, paper: A4, marks: true, bar: false }));
        // Places on the sheet, from its middle, of marks that lie level and upright.
        const [level, upright]: { x: number; y: number }[][] = [[], []];
        for (const { windows, marks } of pages) {
          const [, , , , middleX = 0, middleY = 0] = windows[0]?.matrix ?? [];
          for (const [from, to] of marks) {
            for (const { x, y } of [from, to]) {
              expect(Math.min(x, A4.width - x, y, A4.height - y)).toBeGreaterThanOrEqual(own.margin - 1e-6);
            }
            const place = { x: from.x - middleX, y: from.y - middleY };
            (from.y === to.y ? level : upright)?.push(place);
          }
        }
        for (const [x, y] of [
          [-width / 2, -height / 2],
          [width / 2, -height / 2],
          [width / 2, height / 2],
          [-width / 2, height / 2],
        ] as const) {
          const beside = { x: x + Math.sign(x) * (own.bleed + 1), y: y + Math.sign(y) * (own.bleed + 1) };
          expect(level?.some((mark) => Math.hypot(mark.x - beside.x, mark.y - y) < 1e-6)).toBe(true);
          expect(upright?.some((mark) => Math.hypot(mark.x - x, mark.y - beside.y) < 1e-6)).toBe(true);
        }
      }),
      { numRuns: members(100) },
    );
  });

  test("tiles with marks take no more pages where there is room for them: A3 over A4 stays 2 × 2", () => {
    const settings = settingsOf({ paper: A4, margin: 5, overlap: 10, marks: true });
    const { across, down, pages } = layOutPages({ width: 297, height: 420 }, settings);
    expect([across, down]).toEqual([2, 2]);
    // 93 mm across and 144 down are left over: all six of the marks' own room.
    expect(pages[0]?.trim).toMatchObject({ left: 11, top: 11 });
  });

  test("whatever the sheet and the paper, every place of the sheet is on a page, at its scale", () => {
    const side = fc.integer({ min: 20, max: 900 });
    const settings = fc.record({
      margin: fc.integer({ min: 0, max: 15 }),
      overlap: fc.integer({ min: 0, max: 20 }),
      scale: fc.constantFrom(0.5, 1, 1.7),
      bleed: fc.integer({ min: 0, max: 4 }),
      turned: fc.boolean(),
    });
    const share = fc.double({ min: -0.5, max: 0.5, noNaN: true });
    fc.assert(
      fc.property(side, side, settings, share, share, (width, height, own, x, y) => {
        const place = { x: x * width, y: y * height };
        const { pages, beyond } = layOutPages({ width, height }, settingsOf({ ...own, paper: A4 }));
        const shown = pages
          .flatMap(({ windows }) => windows)
          .filter(({ matrix, clip }) => {
            const at = apply(matrix, place);
            return (
              at.x >= clip.left - 1e-6 &&
              at.x <= clip.right + 1e-6 &&
              at.y >= clip.top - 1e-6 &&
              at.y <= clip.bottom + 1e-6
            );
          });
        if (beyond === 0) expect(shown.length).toBeGreaterThan(0);
        for (const { matrix } of shown) {
          expect(Math.abs(matrix[0] * matrix[3] - matrix[1] * matrix[2])).toBeCloseTo(own.scale ** 2, 9);
        }
      }),
      { numRuns: members(200) },
    );
  });

  test("crosses to join pages by are at the same place of the sheet on both", () => {
    const { pages } = layOutPages(
      { width: 380, height: 200 },
      settingsOf({ paper: A4, marks: true, margin: 5, overlap: 10 }),
    );
    const onSheet = pages.map(({ windows, marks }) =>
      marks.map(
        ([{ x, y }]) =>
          `${(x - (windows[0]?.matrix[4] ?? 0)).toFixed(3)} ${(y - (windows[0]?.matrix[5] ?? 0)).toFixed(3)}`,
      ),
    );
    const [first = [], second = []] = onSheet;
    expect(first.filter((mark) => second.includes(mark)).length).toBeGreaterThanOrEqual(4);
  });
});

const POSTER = designWith({
  sheet: { width: 297, height: 420, ground: "#233044" },
  parts: [
    {
      id: "a",
      motif: { kind: "petal", length: 150, width: 60 },
      rules: [{ kind: "turn", count: 12 }],
      finish: { fill: "#F2B45C" },
    },
    { id: "b", motif: { kind: "disc", radius: 30 }, finish: { fill: "#C8442B", blend: "multiply" } },
  ],
  making: { print: { paper: A4, marks: true, bar: true } },
});

const CARD = designWith({
  sheet: { width: 80, height: 50, ground: "#1E6F5C" },
  parts: [{ id: "a", motif: { kind: "disc", radius: 15 }, finish: { fill: "#F2B45C" } }],
  making: { print: { paper: A4, bleed: 3, marks: true } },
});

test("a part's opacity over a gradient that grows clear counts once, and in the mask: readers that carry it into masks agree", async () => {
  const design = designWith({
    sheet: { width: 100, height: 100, ground: "#FFFFFF" },
    parts: [
      {
        id: "a",
        motif: { kind: "rectangle", width: 80, height: 80, at: { y: 40 } },
        finish: {
          opacity: 0.5,
          fill: {
            kind: "linear",
            angle: 90,
            stops: [
              { at: 0, color: "#000000" },
              { at: 1, color: "#00000000" },
            ],
          },
        },
      },
    ],
  });
  const pdf = await fileOf(design, "pdf");
  const { data, width, height, channels } = drawn(pdf, 1, 127);
  for (const across of [15, 30, 50, 70, 85]) {
    // From 10 to 90 mm it goes from half black to nothing.
    const alpha = (0.5 * (90 - across)) / 80;
    const seen = Number(data[((height >> 1) * width + Math.round(across * 5)) * channels]);
    expect(Math.abs(seen - 255 * (1 - alpha))).toBeLessThan(2.5);
  }
  expect(plainWords(pdf)).toContain("/ca 1");
  expect(plainWords(pdf)).not.toMatch(/\/ca 0?\.5/);
});

async function fileOf(design: Design, extension: string, options: object = {}): Promise<Uint8Array> {
  const format = formatOf(extension);
  const made = format && (await makeFile(design, format, options, TEST_HOST));
  if (!made || !("file" in made) || typeof made.file === "string") throw new Error(JSON.stringify(made));
  return made.file;
}

/** The objects of a PDF, unpacked by another program. */
function plainWords(pdf: Uint8Array): string {
  const path = join(mkdtempSync(join(tmpdir(), "twin-petal-print-")), "plain.pdf");
  writeFileSync(path, pdf);
  return execFileSync("qpdf", ["--qdf", "--object-streams=disable", path, "-"]).toString("latin1");
}

/** A page of a PDF as another program draws it. */
function drawn(pdf: Uint8Array, page: number, dpi: number) {
  const folder = mkdtempSync(join(tmpdir(), "twin-petal-print-"));
  const path = join(folder, "print.pdf");
  writeFileSync(path, pdf);
  execFileSync("qpdf", ["--check", path], { stdio: ["ignore", "pipe", "pipe"] });
  const out = join(folder, "page");
  execFileSync("pdftoppm", [
    "-png",
    "-r",
    String(dpi),
    "-f",
    String(page),
    "-l",
    String(page),
    "-singlefile",
    path,
    out,
  ]);
  return decode(readFileSync(`${out}.png`));
}

/** The mean difference of two pictures' channels, 0…1. */
function difference(a: ReturnType<typeof decode>, b: ReturnType<typeof decode>): number {
  const [width, height] = [Math.min(a.width, b.width), Math.min(a.height, b.height)];
  let sum = 0;
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      for (let channel = 0; channel < 3; channel++) {
        const at = (picture: typeof a) => Number(picture.data[(y * picture.width + x) * picture.channels + channel]);
        sum += Math.abs(at(a) - at(b));
      }
    }
  }
  return sum / (width * height * 3 * 255);
}

describe("files of a print", () => {
  test.each([1, 2, 3, 4])("page %d of a poster is drawn alike by another program and as a picture", async (page) => {
    const pdf = await fileOf(POSTER, "print.pdf");
    const other = drawn(pdf, page, 50);
    const own = decode(await fileOf(POSTER, "print.png", { page, dpi: 50 }));
    expect([Math.abs(own.width - other.width), Math.abs(own.height - other.height)].every((off) => off <= 1)).toBe(
      true,
    );
    expect(difference(own, other)).toBeLessThan(0.01);
  });

  test("bleed 3: trim and bleed boxes differ by 3 mm at each side, and the ground reaches the bleed's edge", async () => {
    const pdf = await fileOf(CARD, "print.pdf");
    const [page] = (await PDFDocument.load(pdf)).getPages();
    const [trim, bleed] = [page?.getTrimBox(), page?.getBleedBox()];
    const mm = (points: number | undefined) => ((points ?? NaN) * 25.4) / 72;
    expect([mm(trim?.width), mm(trim?.height)].map((value) => Number(value.toFixed(6)))).toEqual([80, 50]);
    expect(mm(trim?.x) - mm(bleed?.x)).toBeCloseTo(3, 6);
    expect(mm(trim?.y) - mm(bleed?.y)).toBeCloseTo(3, 6);
    expect([mm(bleed?.width), mm(bleed?.height)].map((value) => Number(value.toFixed(6)))).toEqual([86, 56]);
    const picture = drawn(pdf, 1, 100);
    const at = (x: number, y: number) => {
      const pixel = Math.round((y * 100) / 25.4) * picture.width + Math.round((x * 100) / 25.4);
      return Array.from({ length: 3 }, (_, channel) => Number(picture.data[pixel * picture.channels + channel]));
    };
    // Half a millimetre within the bleed's left edge, and half a millimetre beyond it.
    expect(at(105 - 43 + 0.5, 148.5)).toEqual([0x1e, 0x6f, 0x5c]);
    expect(at(105 - 43 - 0.5, 148.5)).toEqual([255, 255, 255]);
  });

  test("grey leaves no colour, in the PDF as in the picture", async () => {
    const grey = designWith({
      ...JSON.parse(JSON.stringify({ sheet: CARD.sheet, parts: CARD.parts })),
      making: { print: { grey: true } },
    });
    for (const picture of [
      drawn(await fileOf(grey, "print.pdf"), 1, 40),
      decode(await fileOf(grey, "print.png", { dpi: 40 })),
    ]) {
      let most = 0;
      for (let pixel = 0; pixel * picture.channels < picture.data.length; pixel++) {
        const [r = 0, g = 0, b = 0] = Array.from({ length: 3 }, (_, channel) =>
          Number(picture.data[pixel * picture.channels + channel]),
        );
        most = Math.max(most, Math.abs(r - g), Math.abs(g - b));
      }
      expect(most).toBeLessThanOrEqual(2);
    }
  });

  test("a page that is not there is refused in words", async () => {
    const format = formatOf("print.png");
    expect(format && (await makeFile(CARD, format, { page: 2 }, TEST_HOST))).toEqual({
      refusal: "there is no page 2: it takes 1",
    });
  });
});

describe("checks of a print", () => {
  const checkedAs = (design: Design, kind: PrintChecked["kind"]) => {
    const scene = buildScene(design);
    const settings = scene.making.print;
    return checkPrint({ scene, settings, layout: layOutPages(scene.sheet, settings) }).find((one) => one.kind === kind);
  };
  const cardWith = (print: object, part: object = {}) =>
    designWith({
      sheet: { width: 80, height: 50 },
      parts: [{ id: "a", motif: { kind: "disc", radius: 15 }, ...part }],
      making: { print },
    });

  test("several that do not fit the page fail with how far", () => {
    const found = checkedAs(cardWith({ columns: 3, paper: A4 }), "fits");
    expect([found?.state, found?.figures.beyond]).toEqual(["failed", 20]);
    expect(checkedAs(cardWith({ columns: 2, paper: A4 }), "fits")?.state).toBe("passed");
  });

  test("what crosses the sheet's edge is told, unless it bleeds", () => {
    const crossing = { at: { x: 30, y: 0 } };
    const found = checkedAs(cardWith({}, crossing), "cutOff");
    expect([found?.state, found?.figures.count]).toEqual(["doubtful", 1]);
    expect(found?.figures.beyond).toBeCloseTo(5, 6);
    expect(checkedAs(cardWith({ bleed: 6 }, crossing), "cutOff")?.state).toBe("passed");
    expect(checkedAs(cardWith({ bleed: 3 }, crossing), "cutOff")?.state).toBe("doubtful");
    expect(checkedAs(cardWith({}), "cutOff")?.state).toBe("passed");
  });

  test("lines that become too thin at the print's scale, and lines hardly seen, are told", () => {
    const lined = (width: number, paint: string) => ({ finish: { fill: null, line: { width, paint } } });
    expect(checkedAs(cardWith({ scale: 0.25 }, lined(0.3, "#000000")), "thinLines")?.state).toBe("doubtful");
    expect(checkedAs(cardWith({}, lined(0.3, "#000000")), "thinLines")?.state).toBe("passed");
    expect(checkedAs(cardWith({}, lined(0.3, "#FFFFDD")), "lightLines")?.state).toBe("doubtful");
    expect(checkedAs(cardWith({}, lined(0.3, "#000000")), "lightLines")?.state).toBe("passed");
  });

  test("shadows are pictures: coarse when the sheet is printed larger", () => {
    const shaded = { finish: { fill: "#C8442B", shadow: { x: 1, y: 1, blur: 2 } } };
    expect(checkedAs(cardWith({ scale: 3 }, shaded), "resolution")?.state).toBe("doubtful");
    expect(checkedAs(cardWith({ scale: 0.5 }, shaded), "resolution")?.state).toBe("passed");
    expect(checkedAs(cardWith({ scale: 3 }), "resolution")?.state).toBe("passed");
  });
});

describe("the printer of pages", () => {
  const printer = DEVICES.find(({ kind }) => kind === "printer");
  const open = async (file: Uint8Array, settings: object) => {
    const read = printer?.readSettings(settings);
    if (!printer || !read || "refusal" in read) throw new Error("the settings are refused");
    return printer.open(file, read.settings, TEST_HOST);
  };

  test("prints page by page what is in the file", async () => {
    const run = await open(await fileOf(POSTER, "print.pdf"), { paper: A4 });
    if ("refusal" in run) throw new Error(run.refusal);
    expect(run.steps).toBe(4);
    const steps = Array.from({ length: 4 }, (_, index) => run.step(index));
    expect(steps.map(({ trace }) => trace.page)).toEqual([1, 2, 3, 4]);
    expect(run.report().area).toBeCloseTo(4 * 0.21 * 0.297, 6);
  });

  test("refuses other paper, what is no PDF, and a PDF that is broken", async () => {
    const pdf = await fileOf(CARD, "print.pdf");
    const refusal = (words: string) => ({ refusal: expect.stringContaining(words) });
    expect(await open(pdf, { paper: { width: 148, height: 210 } })).toEqual(refusal("Page 1 is 210 × 297 mm"));
    expect(await open(new Uint8Array([1, 2, 3]), {})).toEqual(refusal("no PDF"));
    expect(await open(pdf.slice(0, 200), {})).toEqual(refusal("cannot be read"));
  });
});
