import { beforeAll, describe, expect, test } from "@jest/globals";
import { PNG } from "pngjs";
import { buildScene, groundColor, parseDesign, readDesign, SceneBuilder, writeDesign } from "../src";
import { designWith } from "./testDesign";
import { notesOf, pngOf, svgOf, tileOf } from "./making";
import { withRasteriser } from "./prepared";

beforeAll(withRasteriser);

const stops = [
  { at: 0, color: "palette:deep" },
  { at: 1, color: "#FFFFFF" },
];
const sheetWith = (ground: unknown, more: object = {}) =>
  designWith({
    sheet: { width: 100, height: 40, ground },
    palette: [{ name: "deep", color: "#000000" }],
    ...more,
  });

/** The colour of a design's picture, a pixel a millimetre, at a place counted from its upper left corner. */
function colorAt(picture: PNG, x: number, y: number): number[] {
  return [...picture.data.subarray((y * picture.width + x) * 4, (y * picture.width + x) * 4 + 4)];
}

const pictureOf = (design: Parameters<typeof pngOf>[0]) => PNG.sync.read(Buffer.from(pngOf(design, 100)));

describe("the ground of the sheet", () => {
  test("survives a round trip as a colour, as nothing and as a fill, defaults left out", () => {
    for (const ground of ["#17203A", null, { kind: "linear", angle: 90, stops }]) {
      const design = sheetWith(ground);
      const text = writeDesign(design);
      expect(JSON.parse(text).sheet.ground).toEqual(ground);
      expect(parseDesign(text).design).toEqual(design);
    }
    expect(JSON.parse(writeDesign(sheetWith("#FFFFFF"))).sheet).toEqual({ width: 100, height: 40 });
  });

  test("a wrong one is told at its own path", () => {
    const { problems } = parseDesign(
      JSON.stringify({
        format: "twin-petal/1",
        sheet: { ground: { kind: "linear", stops: [{ at: 7, color: "red" }] } },
      }),
    );
    expect(problems.map(({ path }) => path)).toEqual(
      expect.arrayContaining(["sheet.ground.stops[0].at", "sheet.ground.stops[0].color"]),
    );
  });

  test("a formula in it goes by the design's numbers; a broken one is told", () => {
    const ground = { kind: "linear", angle: "lean", stops };
    const white = [0, 1].map((at) => ({ at, color: "#FFFFFF" }));
    const scene = buildScene(sheetWith(ground, { numbers: [{ name: "lean", value: 90 }] }));
    expect(scene.sheet.ground).toMatchObject({ kind: "linear", angle: 90 });
    expect(
      readDesign({ format: "twin-petal/1", sheet: { ground: { ...ground, stops: white } } }).problems,
    ).toMatchObject([{ path: "sheet.ground.angle" }]);
  });

  test("a gradient goes from edge to edge of the sheet", () => {
    const picture = pictureOf(sheetWith({ kind: "linear", angle: 90, stops }));
    expect(picture.height).toBe(40);
    const shades = [2, 30, 50, 70, 97].map((x) => colorAt(picture, x, 20)[0] ?? 0);
    expect(shades[0]).toBeLessThan(12);
    expect(shades[4]).toBeGreaterThan(243);
    expect([...shades].sort((a, b) => a - b)).toEqual(shades);
    // Half way between black and white in OKLab.
    expect(Math.abs((shades[2] ?? 0) - 0x63)).toBeLessThan(4);
    // The same from top to bottom.
    expect(colorAt(picture, 30, 1)).toEqual(colorAt(picture, 30, 38));
  });

  test("pools have their own colours in the corners, and are said to be an image", () => {
    const points = [
      { x: 0, y: 0, color: "#C8442B" },
      { x: 1, y: 1, color: "#1E6F5C" },
    ];
    const design = sheetWith({ kind: "pools", points });
    const picture = pictureOf(design);
    const [red = 0, green = 0] = colorAt(picture, 1, 1);
    expect(red).toBeGreaterThan(green + 80);
    const [otherRed = 0, otherGreen = 0] = colorAt(picture, 98, 38);
    expect(otherGreen).toBeGreaterThan(otherRed + 50);
    expect(notesOf("svg", design)).toContain("pools of colour");
  });

  test("colours that would take turns count as their first; half clear ones let the paper through", () => {
    expect(groundColor(buildScene(sheetWith({ kind: "cycle", colors: ["#102030", "#FFFFFF"] })).sheet)).toBe("#102030");
    const [, , , alpha = 0] = colorAt(pictureOf(sheetWith("#00000080")), 50, 20);
    expect(Math.abs(alpha - 128)).toBeLessThan(2);
    expect(colorAt(pictureOf(sheetWith(null)), 50, 20)).toEqual([0, 0, 0, 0]);
  });

  test("in a tile it has its middle colour, as it would have a seam, and that is said", () => {
    const parts = [
      { id: "a", motif: { kind: "disc", radius: 3 }, rules: [{ kind: "grid", columns: 3, rows: 3, pitch: 10 }] },
    ];
    const design = sheetWith({ kind: "linear", stops }, { parts });
    const tile = tileOf(design);
    expect(tile?.scene.sheet.ground).toEqual({ kind: "flat", color: "#636363" });
    expect(notesOf("tile.svg", design)).toContain("middle colour");
    expect(notesOf("tile.svg", sheetWith("#102030", { parts }))).toBe("");
  });

  test("is the same object while it does not change, as every part is", () => {
    const builder = new SceneBuilder();
    const [before, after] = ["#102030", "#AABBCC"].map((fill) =>
      builder.build(sheetWith("#17203A", { parts: [{ id: "a", motif: { kind: "disc" }, finish: { fill } }] })),
    );
    expect(after?.ground).toBe(before?.ground);
    expect(builder.build(sheetWith("#17203B")).ground).not.toBe(before?.ground);
  });

  test("lies under every part, and no part's name can be taken for its", () => {
    const svg = svgOf(sheetWith({ kind: "radial", stops }, { parts: [{ id: "sheet", motif: { kind: "disc" } }] }));
    const ids = [...svg.matchAll(/ id="([^"]+)"/g)].map(([, id]) => id);
    expect(new Set(ids).size).toBe(ids.length);
    expect(ids).toContain("fill-sheet.ground.1");
    const ground = svg.indexOf('<rect x="-50" y="-20" width="100" height="40" fill="url(#fill-sheet.ground.1)"/>');
    expect(ground).toBeGreaterThan(0);
    expect(ground).toBeLessThan(svg.indexOf('<g id="part-sheet"'));
  });
});

describe("clear copies in an SVG", () => {
  const stops = [
    { at: 0, color: "#000000" },
    { at: 1, color: "#FFFFFF" },
  ];
  const clear = { fill: "#AA000080", opacity: 0.5 };
  const oneOf = (finish: object) =>
    svgOf(designWith({ parts: [{ id: "a", motif: { kind: "disc" }, finish }] })).match(/<use [^>]*>/)?.[0];

  test("painted once, they are as clear as their paint: 128/255 of a half", () => {
    expect(oneOf(clear)).toContain('fill-opacity="0.251"');
    expect(oneOf(clear)).not.toContain(" opacity=");
    expect(oneOf({ fill: null, line: { width: 1 }, opacity: 0.5 })).toContain('stroke-opacity="0.5"');
    expect(oneOf({ fill: { kind: "linear", stops }, opacity: 0.5 })).toMatch(/fill="url\(#[^)]+\)" fill-opacity="0.5"/);
  });

  test("filled and lined, they are clear as one: the line hides the fill under it", () => {
    expect(oneOf({ ...clear, line: { width: 1 } })).toContain(' opacity="0.5"');
    expect(oneOf({ ...clear, line: { width: 1 } })).not.toContain("fill-opacity");
  });
});
