import { beforeAll, describe, expect, test } from "@jest/globals";
import { decode } from "fast-png";
import { makeSceneJson } from "../src/make/sceneJson";
import { decimals } from "../src/geometry/decimals";
import { FORMATS, formatOf, openDesign, pathData, readEmbeddedDesign } from "../src";
import { designWith, partDesign } from "./testDesign";
import { pngOf, svgOf } from "./making";
import { withRasteriser } from "./prepared";
import { subjectOf } from "../src/make/subject";

const ROSETTE = designWith({
  name: "Rosette & <friends>",
  notes: ']]> "quoted" ünï ☀',
  sheet: { width: 254, height: 127, unit: "in", ground: "#FFEEDD80" },
  parts: [
    {
      id: "rose",
      motif: { kind: "petal" },
      rules: [{ kind: "turn", count: 16 }],
      finish: {
        fill: { kind: "cycle", colors: ["#AA0000", "#00AA0080"] },
        line: { width: 0.4, dash: [2, 1] },
        opacity: 0.75,
        blend: "multiply",
      },
    },
    { id: "hidden", visible: false, motif: { kind: "disc" } },
    { id: "lead", role: "guide", motif: { kind: "disc" } },
  ],
});

describe("SVG", () => {
  const svg = svgOf(ROSETTE);

  test("has one path a motif, one use a copy, and the sheet's real size", () => {
    expect(svg.match(/<path /g)).toHaveLength(1);
    expect(svg.match(/<use /g)).toHaveLength(16);
    expect(svg).toContain('width="10in" height="5in" viewBox="-127 -63.5 254 127"');
    expect(svg.match(/fill="#AA0000"/g)).toHaveLength(8);
    expect(svg.match(/fill="#00AA00" fill-opacity="0.502"/g)).toHaveLength(8);
    expect(svg).toContain('stroke-dasharray="2 1"');
    expect(svg).toContain("mix-blend-mode:multiply");
  });

  test("opens again as its design", () => {
    expect(openDesign(svg)).toEqual({ design: ROSETTE, problems: [] });
  });

  test.each([
    ["another SVG", '<svg xmlns="http://www.w3.org/2000/svg"><path d="M0 0"/></svg>', "carries no design"],
    [
      "a document type",
      '<!DOCTYPE svg [<!ENTITY a "aaaa">]><svg xmlns="http://www.w3.org/2000/svg">&a;</svg>',
      "document type",
    ],
    ["an unknown entity", '<svg xmlns="http://www.w3.org/2000/svg">&boom;</svg>', "no readable SVG"],
    ["broken markup", "<svg><g></svg>", "no readable SVG"],
    ["a spoilt design inside", svg.replace(/"format"/, '"formal"'), "not a design file"],
  ])("%s is refused in words", (_, text, message) => {
    const { design, problems } = readEmbeddedDesign(text);
    expect(design).toBeNull();
    expect(problems[0]?.message).toContain(message);
  });

  test("hostile text in names stays text", () => {
    const hostile = svgOf(designWith({ name: '"><script>alert(1)</script>' }));
    expect(hostile).not.toContain("<script");
    expect(openDesign(hostile).design?.name).toBe('"><script>alert(1)</script>');
  });
});

describe("PNG", () => {
  beforeAll(withRasteriser);

  test("says how large it is: so many pixels a metre", () => {
    const picture = decode(pngOf(designWith({ sheet: { width: 50, height: 30 } }), 591), { checkCrc: true });
    expect([picture.width, picture.height]).toEqual([591, 355]);
    expect(picture.resolution).toEqual({ x: 591 / 0.05, y: Math.round(355 / 0.03), unit: 1 });
  });
});

describe("other formats", () => {
  test("scene.json has the matrices in order and the box", () => {
    const scene = JSON.parse(
      makeSceneJson(subjectOf(partDesign({ kind: "disc", radius: 5 }, [{ kind: "ring", count: 4, radius: 30 }])).scene),
    );
    expect(scene.parts).toHaveLength(1);
    expect(scene.parts[0]).toMatchObject({ id: "a", motifs: 4 });
    expect(scene.parts[0].copies[1][4]).toBeCloseTo(30, 12);
    expect(scene.parts[0].box.right).toBeCloseTo(35, 9);
  });

  test("are found by a file's whole ending", () => {
    expect(formatOf("fan.petal.json")?.extension).toBe("petal.json");
    expect(formatOf("fan.scene.json")?.extension).toBe("scene.json");
    expect(formatOf("svg")?.extension).toBe("svg");
    expect(formatOf("fan.json")).toBeUndefined();
    expect(FORMATS.map(({ extension }) => extension)).toEqual([
      "svg",
      "pdf",
      "png",
      "tile.svg",
      "tile.png",
      "film.svg",
      "film.zip",
      "stl",
      "3mf",
      "obj",
      "glb",
      "print.pdf",
      "print.png",
      "gcode",
      "dxf",
      "cut.svg",
      "cut.pdf",
      "stitch.json",
      "stitch.svg",
      "stitch.csv",
      "petal.json",
      "scene.json",
    ]);
  });

  test("numbers are written short, and never as −0 or in powers of ten", () => {
    expect([0.1 + 0.2, -0.0000001, 1e-9, 100, 1e15, -2.5].map((value) => decimals(value, 5))).toEqual([
      "0.3",
      "0",
      "0",
      "100",
      "1000000000000000",
      "-2.5",
    ]);
  });

  test("straight segments are written as lines, curves as curves", () => {
    expect(pathData([{ closed: true, coordinates: [0, 0, 0, 0, 5, 0, 5, 0, 5, 2, 4, 4, 0, 4] }])).toBe(
      "M0 0L5 0C5 2 4 4 0 4Z",
    );
  });
});
