import { describe, expect, test } from "@jest/globals";
import { newPart, readDesign, type Box, type Design, type Part } from "@twin-petal/core";
import { applyEdit } from "../src/store/edit";
import { addAccents, addCentrePiece, alignPart, spreadParts } from "../src/store/edits/compose";
import { flipCrossing, paintFace, paintFaces } from "../src/store/edits/join";
import { removePart } from "../src/store/edits/parts";
import { addColors, removeColor, renameColor, setSheetSize } from "../src/store/edits/sheet";
import { companionOf, ofKind, recolored } from "../src/desk/column/finish/recolored";
import { reversedSwell, swellOf, SWELL_SHAPES } from "../src/desk/column/finish/swell";

function designOf(content: object): Design {
  const { design, problems } = readDesign({ format: "twin-petal/1", ...content });
  if (!design) throw new Error(JSON.stringify(problems));
  return design;
}

const part = (id: string, more: object = {}): object => ({ id, motif: { kind: "disc", radius: 10 }, ...more });
const first = ({ parts }: Design): Part => {
  const [found] = parts;
  if (!found) throw new Error("no part");
  return found;
};
const box = (left: number, right: number): Box => ({ left, right, top: -10, bottom: 10 });
const FRAME = { width: 200, height: 100, margin: 10 };

describe("composing the sheet", () => {
  test.each([
    ["left", -70 - 20, 0],
    ["right", 50, 0],
    ["top", 0, -30],
    ["bottom", 0, 30],
    ["centre", -20 + 0, 0],
  ] as const)("a part whose box reaches from 0 to 40 is set at the %s", (alignment, x, y) => {
    const design = designOf({ parts: [part("a")] });
    const { at } = first(applyEdit(design, alignPart(first(design), box(0, 40), alignment, FRAME)));
    expect(at).toMatchObject({ x: alignment === "left" ? -90 : x, y });
  });

  test("a place that is a formula keeps it and is moved by a length", () => {
    const design = designOf({ numbers: [{ name: "n", value: 4 }], parts: [part("a", { at: { x: "n * 2" } })] });
    const { at } = first(applyEdit(design, alignPart(first(design), box(0, 40), "centre", FRAME)));
    expect(at.x).toBe("(n * 2) + -20");
  });

  test("parts are spread with one gap between each two, from margin to margin, in their order", () => {
    const design = designOf({ parts: [part("a"), part("b"), part("c")] });
    const boxes = [box(30, 50), box(-60, -20), box(0, 10)];
    const placed = design.parts.map((own, index) => ({ part: own, box: boxes[index] ?? box(0, 0) }));
    const after = applyEdit(design, spreadParts(placed, "across", FRAME));
    const ends = after.parts.map(({ at }, index) => {
      const { left, right } = boxes[index] ?? box(0, 0);
      return [left + Number(at.x), right + Number(at.x)];
    });
    const [last, start, middle] = ends;
    expect(start?.[0]).toBeCloseTo(-90, 3);
    expect(last?.[1]).toBeCloseTo(90, 3);
    expect((middle?.[0] ?? 0) - (start?.[1] ?? 0)).toBeCloseTo((last?.[0] ?? 0) - (middle?.[1] ?? 0), 3);
  });

  test("accents keep off what is shown and take the palette's colours", () => {
    const design = designOf({
      palette: [
        { name: "kelp", color: "#1E6F5C" },
        { name: "lamp", color: "#E58B4A" },
      ],
      parts: [part("a"), part("hidden", { visible: false })],
    });
    const { edit, id } = addAccents(design);
    const added = applyEdit(design, edit).parts.find((known) => known.id === id);
    expect(added?.rules[0]).toMatchObject({ kind: "scatter", avoid: ["a"] });
    expect(added?.finish.fill).toEqual({ kind: "cycle", colors: ["palette:kelp", "palette:lamp"], by: "index" });
    const file = designOf({
      parts: applyEdit(design, addCentrePiece(design).edit).parts.map(({ id: own }) => part(own)),
    });
    expect(file.parts.map((known) => known.id)).toContain("centre");
  });

  test("a part that goes leaves nothing that named it", () => {
    const design = designOf({
      parts: [
        part("a"),
        part("b", { join: { cutBy: ["a"], inside: "a" }, rules: [{ kind: "scatter", avoid: ["a"] }] }),
      ],
    });
    const after = applyEdit(design, removePart(design, first(design)));
    expect(first(after).join).toMatchObject({ cutBy: [], inside: null });
    expect(first(after).rules[0]?.avoid).toEqual([]);
  });
});

describe("the palette", () => {
  const design = designOf({
    palette: [{ name: "kelp", color: "#1E6F5C" }],
    sheet: { ground: "palette:kelp" },
    parts: [
      part("a", {
        finish: { fill: { kind: "cycle", colors: ["palette:kelp", "#FFFFFF"] }, shadow: { color: "palette:kelp" } },
      }),
    ],
  });

  test("a colour renamed is renamed wherever it is used", () => {
    const after = applyEdit(design, renameColor("kelp", "weed"));
    expect(after.sheet.ground).toBe("palette:weed");
    expect(first(after).finish).toMatchObject({
      fill: { colors: ["palette:weed", "#FFFFFF"] },
      shadow: { color: "palette:weed" },
    });
  });

  test("a colour removed stays where it was used, as itself", () => {
    const after = applyEdit(design, removeColor("kelp"));
    expect(after.palette).toEqual([]);
    expect(after.sheet.ground).toBe("#1E6F5C");
    expect(first(after).finish.shadow?.color).toBe("#1E6F5C");
  });

  test("added colours get names nobody has", () => {
    const after = applyEdit(design, addColors(design, ["#000000", "#111111"], "kelp"));
    expect(after.palette.map(({ name }) => name)).toEqual(["kelp", "kelp 2", "kelp 3"]);
  });

  test("the sheet takes both sides in one step", () => {
    expect(applyEdit(design, setSheetSize(297, 420, "A3")).sheet).toMatchObject({ width: 297, height: 420 });
  });
});

describe("faces and crossings by hand", () => {
  const plain: Part = newPart("a", "A", { kind: "disc" });
  const design: Design = { ...designOf({}), parts: [plain] };

  test("an orbit takes the colour, the others keep what they show", () => {
    const faces: Part = { ...plain, join: { ...plain.join, colors: ["#AA0000", "#00AA00"] } };
    const after = applyEdit({ ...design, parts: [faces] }, paintFaces(faces, { color: 2, colors: 4 }, "#0000AA"));
    expect(first(after).join.colors).toEqual(["#AA0000", "#00AA00", "#0000AA", "#00AA00"]);
  });

  test("where the join has no colours they come from the fill", () => {
    const after = applyEdit(design, paintFaces(plain, { color: 1, colors: 2 }, null));
    expect(first(after).join.colors).toEqual(["#1E6F5C", null]);
  });

  test("one face is painted alone, and again", () => {
    const once = applyEdit(design, paintFace("a", "1.2", "#AA0000"));
    expect(first(applyEdit(once, paintFace("a", "1.2", null))).join.own).toEqual([{ face: "1.2", color: null }]);
  });

  test("a crossing turned over and back", () => {
    const over = applyEdit(design, flipCrossing("a", "0.1.0", false));
    expect(first(over).join.flipped).toEqual(["0.1.0"]);
    expect(first(applyEdit(over, flipCrossing("a", "0.1.0", true))).join.flipped).toEqual([]);
  });
});

describe("kinds of fill", () => {
  const two = { kind: "cycle", colors: ["#AA0000", "#00AA00"], by: "index" } as const;

  test("the colours stay whatever they do", () => {
    expect(ofKind("linear", two)).toMatchObject({
      stops: [
        { at: 0, color: "#AA0000" },
        { at: 1, color: "#00AA00" },
      ],
    });
    expect(ofKind("pools", two)).toMatchObject({
      points: [
        { x: 0, y: 0, color: "#AA0000" },
        { x: 1, y: 1, color: "#00AA00" },
      ],
    });
    expect(ofKind("cycle", ofKind("pools", two))).toEqual(two);
  });

  test("a pool that leaves lets the others stay where they are", () => {
    const pools = ofKind("pools", { ...two, colors: ["#AA0000", "#00AA00", "#0000AA"] });
    expect(recolored(pools, ["#AA0000", "#0000AA"])).toMatchObject({
      points: [
        { x: 0, y: 0, color: "#AA0000" },
        { x: 1, y: 0, color: "#0000AA" },
      ],
    });
  });

  test("one colour is flat again, and a face's second makes a gradient", () => {
    expect(recolored(two, ["#AA0000"])).toBe("#AA0000");
    expect(recolored("#AA0000", ["#AA0000", "#00AA00"], "linear")).toMatchObject({ kind: "linear" });
  });

  test("a companion is much lighter than a dark colour and much darker than a light one", () => {
    const light = (hex: string) => [1, 3, 5].reduce((sum, at) => sum + Number.parseInt(hex.slice(at, at + 2), 16), 0);
    expect(light(companionOf("#1B2440"))).toBeGreaterThan(light("#1B2440") + 200);
    expect(light(companionOf("#F2E6C9"))).toBeLessThan(light("#F2E6C9") - 200);
  });
});

test("ready swells go from the start to the end and keep the widest; reversed twice they are as before", () => {
  for (const { shape } of SWELL_SHAPES) {
    const swell = swellOf(shape, 3);
    expect(swell[0]?.at).toBe(0);
    expect(swell.at(-1)?.at).toBe(1);
    expect(Math.max(...swell.map(({ width }) => Number(width)))).toBe(3);
    expect(reversedSwell(reversedSwell(swell))).toEqual(swell);
  }
});
