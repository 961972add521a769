import { execFile, execFileSync } from "node:child_process";
import { mkdtempSync, readdirSync, readFileSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { promisify } from "node:util";
import { describe, expect, test } from "@jest/globals";
import { PNG } from "pngjs";
import { differenceOf } from "../../core/test/pictureDifference";

/** Pixels of a compared picture's longer side, and the most dots an inch it has. */
const LONGEST = 1_250;
const MOST_DPI = 120;

/** Dots an inch a design's pictures are compared at. */
function dpiOf(file: string): number {
  const design: unknown = JSON.parse(readFileSync(file, "utf8"));
  const at = (holder: unknown, key: string): unknown =>
    typeof holder === "object" && holder !== null ? Reflect.get(holder, key) : undefined;
  const longest = Math.max(...["width", "height"].map((side) => Number(at(at(design, "sheet"), side) ?? 200)));
  return Math.min(MOST_DPI, Math.floor((LONGEST * 25.4) / longest));
}
const folder = mkdtempSync(join(tmpdir(), "twin-petal-fidelity-"));
const read = (file: string) => PNG.sync.read(readFileSync(file));
const run = (command: string, ...words: string[]) =>
  execFileSync(command, words, { stdio: ["ignore", "pipe", "pipe"] });
const make = (input: string, output: string) => run(process.execPath, "cli/dist/make.js", input, output, "--dpi", "96");

/** The same, beside others of its kind. */
const makeBeside = (input: string, output: string, dpi: number) =>
  promisify(execFile)(process.execPath, ["cli/dist/make.js", input, output, "--dpi", String(dpi)]);

/** A picture over white, cut to a size: viewers round a page's edge up or down by a pixel. */
function onWhite(picture: PNG, width: number, height: number): PNG {
  const flat = new PNG({ width, height });
  const [from, to] = [picture.data, flat.data];
  const [lastRow, lastColumn] = [picture.height - 1, picture.width - 1];
  for (let y = 0; y < height; y++) {
    const row = (y < lastRow ? y : lastRow) * picture.width;
    for (let x = 0; x < width; x++) {
      const source = (row + (x < lastColumn ? x : lastColumn)) * 4;
      const target = (y * width + x) * 4;
      const alpha = from[source + 3] ?? 255;
      const white = 255 - alpha;
      to[target] = ((from[source] ?? 0) * alpha) / 255 + white;
      to[target + 1] = ((from[source + 1] ?? 0) * alpha) / 255 + white;
      to[target + 2] = ((from[source + 2] ?? 0) * alpha) / 255 + white;
      to[target + 3] = 255;
    }
  }
  return flat;
}

describe("every demo design looks the same in every file", () => {
  test.each(readdirSync("demo").map((file) => file.replace(".petal.json", "")))(
    "%s: the SVG by two viewers and the PDF by a third differ by less than 1 %",
    async (name) => {
      const input = join("demo", `${name}.petal.json`);
      const dpi = dpiOf(input);
      const [svg, png, pdf] = ["svg", "png", "pdf"].map((ending) => join(folder, `${name}.${ending}`));
      if (!svg || !png || !pdf) throw new Error("no files");
      await Promise.all([svg, png, pdf].map((output) => makeBeside(input, output, dpi)));
      const mine = read(png);
      const { width, height } = mine;
      const viewed = join(folder, `${name}-rsvg.png`);
      run("rsvg-convert", "-w", String(width), "-h", String(height), "-o", viewed, svg);
      run("qpdf", "--check", pdf);
      const paged = join(folder, `${name}-page`);
      run("pdftoppm", "-png", "-r", String(dpi), "-singlefile", pdf, paged);
      const [a, b, c] = [mine, read(viewed), read(`${paged}.png`)].map((picture) => onWhite(picture, width, height));
      if (!a || !b || !c) throw new Error("no pictures");
      const [resvgRsvg, resvgPdf, rsvgPdf] = [differenceOf(a, b), differenceOf(a, c), differenceOf(b, c)];
      expect(Math.max(resvgRsvg, resvgPdf, rsvgPdf)).toBeLessThan(0.01);
    },
    60_000,
  );

  test("a blended, half clear part keeps both in the PDF", () => {
    const file = join(folder, "blend.petal.json");
    const disc = (id: string, x: number, finish: object) => ({
      id,
      motif: { kind: "disc", radius: 20 },
      at: { x },
      finish,
    });
    writeFileSync(
      file,
      JSON.stringify({
        format: "twin-petal/1",
        sheet: { width: 100, height: 60 },
        parts: [
          disc("a", -10, { fill: "#D9A24B" }),
          disc("b", 10, { fill: "#17566B", opacity: 0.7, blend: "multiply" }),
        ],
      }),
    );
    const [svg, pdf] = [join(folder, "blend.svg"), join(folder, "blend.pdf")];
    make(file, svg);
    make(file, pdf);
    run("rsvg-convert", "-d", "96", "-p", "96", "-o", join(folder, "blend-rsvg.png"), svg);
    run("pdftoppm", "-png", "-r", "96", "-singlefile", pdf, join(folder, "blend-page"));
    const a = read(join(folder, "blend-rsvg.png"));
    const [p, q] = [a, read(join(folder, "blend-page.png"))].map((picture) => onWhite(picture, a.width, a.height));
    expect(p && q ? differenceOf(p, q) : NaN).toBeLessThan(0.01);
  });
});
