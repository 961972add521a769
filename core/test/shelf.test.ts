import { beforeAll, describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import {
  emptyDesign,
  pieceTrouble,
  readDesign,
  readShelf,
  SHELF_KINDS,
  shelfPieceOf,
  toFile,
  writeShelf,
  type ShelfPiece,
} from "../src";
import { DEMO } from "./demoDesigns";
import { designWith } from "./testDesign";
import { withFonts, withGeometryEngine } from "./prepared";
import { members } from "./randomMembers";

beforeAll(() => Promise.all([withGeometryEngine(), withFonts()]));

const FAN = designWith({
  numbers: [
    { name: "n", value: 9 },
    { name: "unused", value: 3 },
  ],
  palette: [
    { name: "ink", color: "#C8442B" },
    { name: "paper", color: "#FFFFFF" },
  ],
  parts: [
    {
      id: "fan",
      name: "Fan",
      motif: { kind: "petal" },
      rules: [{ kind: "along", path: "way", count: "n" }],
      finish: { fill: "palette:ink" },
    },
    { id: "way", name: "Way", motif: { kind: "arc" } },
  ],
});

const aPiece = fc
  .record({ design: fc.constantFrom(...DEMO.values()), kind: fc.constantFrom(...SHELF_KINDS), at: fc.nat(40) })
  .map(({ design, kind, at }) => shelfPieceOf(design, kind, design.parts[at % design.parts.length]?.id ?? null))
  .filter((piece): piece is ShelfPiece => piece !== null);

describe("what is put on the shelf", () => {
  test("a motif brings what it needs and nothing else, and is the topmost part", () => {
    const { design } = shelfPieceOf(FAN, "motif", "fan") ?? { design: emptyDesign("") };
    expect(design.parts.map(({ id }) => id)).toEqual(["way", "fan"]);
    expect(design.numbers.map(({ name }) => name)).toEqual(["n"]);
    expect(design.palette.map(({ name }) => name)).toEqual(["ink"]);
    expect(design.name).toBe("Fan");
  });

  test("a stack of rules leaves the finish behind; a palette takes every colour and no part", () => {
    const { design: rules } = shelfPieceOf(FAN, "rules", "fan") ?? { design: emptyDesign("") };
    expect(rules.parts.at(-1)?.rules).toEqual(FAN.parts[0]?.rules);
    expect(rules.palette).toEqual([]);
    const { design: palette } = shelfPieceOf(FAN, "palette", null) ?? { design: emptyDesign("") };
    expect(palette.palette).toEqual(FAN.palette);
    expect(palette.parts).toEqual([]);
  });

  test("what a design does not have cannot be put there", () => {
    expect(shelfPieceOf(FAN, "rules", "way")).toBeNull();
    expect(shelfPieceOf(FAN, "motif", "gone")).toBeNull();
    expect(shelfPieceOf(emptyDesign("None"), "palette", null)).toBeNull();
    expect(pieceTrouble("rules", { ...FAN, parts: FAN.parts.slice(1) })?.path).toBe("parts[0].rules");
  });

  test("every piece of the demo designs is a design by itself, and a shelf's file gives back what was put into it", () => {
    fc.assert(
      fc.property(fc.array(aPiece, { maxLength: 4 }), (pieces) => {
        for (const { design } of pieces) expect(readDesign(toFile(design)).problems).toEqual([]);
        expect(readShelf(JSON.parse(writeShelf(pieces)))).toEqual({ pieces, problems: [] });
      }),
      { numRuns: members(25) },
    );
  });

  test("faults of a shelf's file are told at their place, and the other pieces are read", () => {
    const motif = { kind: "motif", design: toFile(FAN) };
    const file = {
      format: "twin-petal-shelf/1",
      pieces: [motif, { kind: "hat", design: {} }, { kind: "palette", design: { format: "twin-petal/1" } }, 7, motif],
    };
    const { pieces, problems } = readShelf(file);
    expect(pieces).toHaveLength(2);
    expect(problems.map(({ path }) => path)).toEqual(["pieces[1].kind", "pieces[2].design.palette", "pieces[3]"]);
    expect(readShelf({ format: "twin-petal/1" }).problems[0]?.path).toBe("format");
    expect(readShelf({ ...file, pieces: Array.from({ length: 1_001 }, () => motif) }).problems[0]?.message).toMatch(
      /at most 1000/,
    );
  });
});
