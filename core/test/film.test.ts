import { readFileSync } from "node:fs";
import { beforeAll, describe, expect, test } from "@jest/globals";
import { unzipSync } from "fflate";
import { PNG } from "pngjs";
import { formatOf, makeFile, parseDesign, type Design, type MakeOptions } from "../src";
import { rasterise } from "../src/engines/rasteriser";
import { TEST_HOST, withFonts, withGeometryEngine, withRasteriser } from "./prepared";
import { designWith } from "./testDesign";

beforeAll(() => Promise.all([withGeometryEngine(), withFonts(), withRasteriser()]));

const demo = (name: string): Design => {
  const { design } = parseDesign(readFileSync(`demo/${name}.petal.json`, "utf8"));
  if (!design) throw new Error(name);
  return design;
};

async function made(design: Design, as: string, options: Partial<MakeOptions> = {}): Promise<string | Uint8Array> {
  const format = formatOf(as);
  if (!format) throw new Error(as);
  const answer = await makeFile(design, format, options, TEST_HOST);
  if (!("file" in answer)) throw new Error(JSON.stringify(answer));
  return answer.file;
}

const ANIMATION =
  /<g([^>]*)><animate attributeName="display" calcMode="discrete" values="(\w+);(\w+)" keyTimes="([\d.]+);([\d.]+)" dur="([\d.]+)s" repeatCount="indefinite"\/>/g;

/** The film at a share of its period, as an SVG that stands still: what SMIL says of discrete values. */
function at(film: string, share: number): string {
  return film.replace(ANIMATION, (_, _own: string, first: string, second: string, _from: string, to: string) => {
    return `<g display="${share >= Number(to) ? second : first}">`;
  });
}

const WIDTH = 160;
const pixelsOf = (svg: string) => rasterise(svg, WIDTH, (rendered) => Uint8Array.from(rendered.pixels));

/** The largest mean difference of a channel that two pictures of the same size have, 0…255. */
function difference(a: Uint8Array, b: Uint8Array): number {
  let sum = 0;
  for (let k = 0; k < a.length; k++) sum += Math.abs((a[k] ?? 0) - (b[k] ?? 0));
  return sum / a.length;
}

const FILMED = ["season-pass-spiral", "towel-leaf-ring", "brass-floor-star", "twin-current-medallion", "robe-badge"];

describe("a film as SVG", () => {
  test.each(FILMED)("%s ends as the design, stands still as it, and has no script", async (name) => {
    const design = demo(name);
    const film = String(await made(design, "film.svg"));
    expect(film).not.toMatch(/<script|\son\w+=|javascript:/i);
    const plain = pixelsOf(String(await made(design, "svg")));
    expect(difference(pixelsOf(at(film, 0.95)), plain)).toBe(0);
    // A viewer that plays nothing shows the whole: what an element says of itself holds then.
    expect(difference(pixelsOf(film.replace(/<animate [^>]*\/>/g, "")), plain)).toBe(0);
    expect(difference(pixelsOf(at(film, 0)), plain)).toBeGreaterThan(0);
  });

  test("copies come one after the other, evenly, in the time that was asked for", async () => {
    const design = designWith({
      parts: [
        {
          id: "a",
          motif: { kind: "disc", radius: 3 },
          rules: [{ kind: "ring", count: 12, radius: 40 }],
          finish: { fill: "#C8442B" },
        },
        {
          id: "b",
          motif: { kind: "disc", radius: 3 },
          rules: [{ kind: "ring", count: 8, radius: 70 }],
          finish: { fill: "#2B2140" },
        },
      ],
    });
    const film = String(await made(design, "film.svg", { duration: 4 }));
    const times = [...film.matchAll(ANIMATION)].map(([, , first, second, , to, period]) => {
      expect([first, second]).toEqual(["none", "inline"]);
      return Number(to) * Number(period);
    });
    // The first is there at once.
    expect(times).toHaveLength(19);
    times.forEach((time, k) => expect(time).toBeCloseTo(((k + 1) / 20) * 4, 3));
    const seen = (share: number) => {
      const still = pixelsOf(at(film, share));
      let count = 0;
      for (let k = 0; k < still.length; k += 4) if ((still[k + 1] ?? 255) < 120) count += 1;
      return count;
    };
    const whole = seen(0.99);
    // Half of the time, half of the discs.
    expect(seen((2 + 0.05) / 5.5) / whole).toBeCloseTo(11 / 20, 1);
  });
});

describe("a film as pictures", () => {
  test("numbered frames for each second, the last of them the design, each with no less than the one before", async () => {
    const design = demo("towel-leaf-ring");
    const files = unzipSync(Uint8Array.from(Buffer.from(await made(design, "film.zip", { duration: 2, pixels: 120 }))));
    const names = Object.keys(files);
    expect(names).toHaveLength(2 * 25 + 25);
    expect(names[0]).toBe("frame-0001.png");
    expect(names.at(-1)).toBe("frame-0075.png");
    const frames = Object.values(files).map((file) => PNG.sync.read(Buffer.from(file)));
    expect(frames.every(({ width, height }) => width === 120 && height === 120)).toBe(true);
    const whole = PNG.sync.read(Buffer.from(await made(design, "png", { dpi: 25.4 })));
    expect(difference(frames.at(-1)?.data ?? new Uint8Array(), whole.data)).toBe(0);
    // The ground is what the corner shows.
    const painted = frames.map(({ data }) => {
      let count = 0;
      for (let at = 0; at < data.length; at += 4) if (data[at] !== data[0]) count += 1;
      return count;
    });
    painted.forEach((count, k) => expect(count).toBeGreaterThanOrEqual(painted[k - 1] ?? 0));
    const first = frames[0]?.data ?? new Uint8Array();
    expect(difference(first, whole.data)).toBeGreaterThan(0);
  });

  test("what would be too much is told, with what could be", async () => {
    const format = formatOf("film.zip");
    if (!format) throw new Error("no format");
    const refusal = async (options: Partial<MakeOptions>) => {
      const answer = await makeFile(demo("steam-vent"), format, options, TEST_HOST);
      return "refusal" in answer ? answer.refusal : null;
    };
    expect(await refusal({ duration: 500 })).toMatch(/ask for 119 s$/);
    expect(await refusal({ duration: 100, pixels: 4000 })).toMatch(/ask for \d+ pixels, or fewer seconds$/);
  });
});
