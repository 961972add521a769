import { execFileSync } from "node:child_process";
import { mkdtempSync, readFileSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { expect, test } from "@jest/globals";
import { PNG } from "pngjs";
import { differenceOf } from "../../core/test/pictureDifference";

const folder = mkdtempSync(join(tmpdir(), "twin-petal-fidelity-"));
const read = (file: string) => PNG.sync.read(readFileSync(file));
const run = (command: string, ...words: string[]) =>
  execFileSync(command, words, { stdio: ["ignore", "pipe", "pipe"] });
const make = (input: string, output: string) => run(process.execPath, "cli/dist/make.js", input, output, "--dpi", "96");

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
      parts: [disc("a", -10, { fill: "#D9A24B" }), disc("b", 10, { fill: "#17566B", opacity: 0.7, blend: "multiply" })],
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
