import { execFileSync } from "node:child_process";
import { mkdtempSync, readdirSync, readFileSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { beforeAll, describe, expect, test } from "@jest/globals";
import { PNG } from "pngjs";
import { importSvg, type SvgSourceValue } from "../src";
import { designWith } from "./testDesign";
import { differenceOf } from "./pictureDifference";
import { withGeometryEngine } from "./prepared";
import { svgOf } from "./making";

beforeAll(withGeometryEngine);

const FOLDER = "core/test/pictures";
const WIDTH = 400;
const aside = mkdtempSync(join(tmpdir(), "twin-petal-pictures-"));

/** What an independent viewer draws of a file, on white. */
function drawn(file: string, height: number): PNG {
  return PNG.sync.read(
    execFileSync("rsvg-convert", ["-w", String(WIDTH), "-h", String(height), "-b", "#FFFFFF", file], {
      maxBuffer: 1e8,
    }),
  );
}

function blank({ width, height }: PNG): PNG {
  const sheet = new PNG({ width, height });
  sheet.data.fill(255);
  return sheet;
}

function imported(file: string): SvgSourceValue {
  const result = importSvg(file);
  if ("refusal" in result) throw new Error(result.refusal);
  return result.source;
}

/** The imported picture as the motif of a design, and that design as a file of this application. */
function madeAgain(source: SvgSourceValue, name: string): string {
  const design = designWith({
    sheet: { width: source.width, height: source.height, ground: "#FFFFFF" },
    parts: [{ id: "picture", motif: { kind: "svg", source } }],
  });
  const file = join(aside, name);
  writeFileSync(file, svgOf(design));
  return file;
}

describe("pictures other software wrote", () => {
  const files = readdirSync(FOLDER).filter((name) => name.endsWith(".svg"));

  test("there are at least thirty", () => {
    expect(files.length).toBeGreaterThanOrEqual(30);
  });

  test.each(files)("%s looks the same once imported, within 0.5 %%", (name) => {
    const source = imported(readFileSync(join(FOLDER, name), "utf8"));
    const height = Math.round((WIDTH * source.height) / source.width);
    const original = drawn(join(FOLDER, name), height);
    const difference = differenceOf(original, drawn(madeAgain(source, name), height));
    expect(difference).toBeLessThan(0.005);
    // An empty sheet would be near to a sparse picture too.
    expect(difference).toBeLessThan(0.25 * differenceOf(original, blank(original)));
  });
});

describe("sizes and what is left out", () => {
  const svg = (attributes: string, body: string) =>
    `<svg xmlns="http://www.w3.org/2000/svg" ${attributes}>${body}</svg>`;
  const rect = `<rect width="10" height="10"/>`;

  test.each([
    [`width="30mm" height="20mm"`, 30, 20],
    [`width="2in" height="1in"`, 50.8, 25.4],
    [`width="72pt" height="36pt"`, 25.4, 12.7],
    [`width="96" height="48"`, 25.4, 12.7],
    [`viewBox="0 0 192 96"`, 50.8, 25.4],
    [`width="60mm" viewBox="0 0 100 50"`, 60, 30],
    ["", (10 * 25.4) / 96, (10 * 25.4) / 96],
  ])("%s is its real size in millimetres", (attributes, width, height) => {
    const source = imported(svg(attributes, rect));
    expect(source.width).toBeCloseTo(width, 4);
    expect(source.height).toBeCloseTo(height, 4);
  });

  test("what is not taken over is listed, with how often it stood there", () => {
    const body = `<text>a</text><text>b</text><image href="x.png"/><filter/><linearGradient id="g"><stop offset="0" stop-color="#000"/><stop offset="1" stop-color="#FFF"/></linearGradient><rect width="9" height="9" fill="url(#g)" filter="url(#f)"/><use href="other.svg#a"/>`;
    const result = importSvg(svg("", body));
    if ("refusal" in result) throw new Error(result.refusal);
    expect(result.leftOut).toEqual([
      { what: "text (turn letters into outlines first)", times: 2 },
      { what: "an embedded picture", times: 1 },
      { what: "<filter>", times: 1 },
      { what: "a filter", times: 1 },
      { what: "a gradient (its middle colour stands for it)", times: 1 },
      { what: "a reference to another file", times: 1 },
    ]);
    expect(result.source.shapes[0]?.fill).toBe("#808080");
  });

  test("width and height scale it; one alone keeps its proportions; the finish may paint it", () => {
    const source = imported(
      svg(`width="40mm" height="20mm" viewBox="0 0 4 2"`, `<rect width="4" height="2" fill="red"/>`),
    );
    const made = (more: object) => svgOf(designWith({ parts: [{ id: "a", motif: { kind: "svg", source, ...more } }] }));
    expect(made({ width: 80 })).toContain("M-40 -20L40 -20L40 20L-40 20");
    expect(made({ width: 80, height: 10 })).toContain("M-40 -5L40 -5");
    expect(made({})).toMatch(/<path[^>]*fill="#FF0000"/);
    expect(made({ colors: "finish" })).not.toMatch(/<path[^>]*#FF0000/);
  });
});

describe("hostile and broken files", () => {
  const head = `<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink">`;
  const laughs = Array.from(
    { length: 12 },
    (_, k) => `<g id="l${k}">${`<use href="#l${k + 1}"/>`.repeat(10)}</g>`,
  ).join("");
  const files: readonly (readonly [string, string, string])[] = [
    ["a script", `${head}<script>alert(1)</script><rect width="1" height="1"/></svg>`, "script"],
    ["an event handler", `${head}<rect width="1" height="1" onload="alert(1)"/></svg>`, "script"],
    ["a scripted link", `${head}<a xlink:href=" javascript:alert(1)"><rect width="1" height="1"/></a></svg>`, "script"],
    ["an entity of its own", `<!DOCTYPE svg [<!ENTITY a "b">]>${head}<rect width="1" height="1"/></svg>`, "entities"],
    [
      "an outside entity",
      `<!DOCTYPE svg [<!ENTITY x SYSTEM "file:///etc/passwd">]>${head}<text>&x;</text></svg>`,
      "entities",
    ],
    ["entities without end", `<!DOCTYPE svg [<!ENTITY a "ha"><!ENTITY b "&a;&a;&a;">]>${head}&b;</svg>`, "entities"],
    ["an entity nobody declared", `${head}<text>&what;</text></svg>`, "no readable SVG"],
    ["uses without end", `${head}<defs>${laughs}<g id="l12"/></defs><use href="#l0"/></svg>`, "uses"],
    ["a use of itself", `${head}<g id="a"><use href="#a"/><rect width="1" height="1"/></g></svg>`, "round and round"],
    [
      "two uses of each other",
      `${head}<g id="a"><use href="#b"/></g><g id="b"><use href="#a"/></g></svg>`,
      "round and round",
    ],
    ["bottomless nesting", `${head}${"<g>".repeat(5_000)}${"</g>".repeat(5_000)}</svg>`, "nested"],
    ["too many elements", `${head}${"<g/>".repeat(120_000)}</svg>`, "elements"],
    ["too much of it", `${head}<path d="${"M0 0L1 1".repeat(1_100_000)}"/></svg>`, "8 MB"],
    ["broken markup", `${head}<rect width="1" height="1"></svg>`, "no readable SVG"],
    ["half a file", `${head}<path d="M0 0L10`, "no readable SVG"],
    ["no markup at all", "hello", "no readable SVG"],
    ["nothing", "", ""],
    ["another kind of file", `<html><body/></html>`, "is no SVG"],
    [
      "only a picture from elsewhere",
      `${head}<image xlink:href="http://127.0.0.1/x.png" width="9" height="9"/></svg>`,
      "nothing in it",
    ],
    ["only a use from elsewhere", `${head}<use href="http://127.0.0.1/x.svg#a"/></svg>`, "nothing in it"],
    ["coordinates beyond measure", `${head}<path d="M0 0L1e400 1"/></svg>`, "cannot be read"],
    [
      "a size that cannot be",
      `<svg xmlns="http://www.w3.org/2000/svg" width="-4" height="0"><rect width="1" height="1"/></svg>`,
      "size",
    ],
  ];

  test("there are at least twenty", () => {
    expect(files.length).toBeGreaterThanOrEqual(20);
  });

  test.each(files)("%s is refused in words", (_, file, words) => {
    const result = importSvg(file);
    expect("refusal" in result && result.refusal).toContain(words);
  });
});
