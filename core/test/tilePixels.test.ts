import { expect, test } from "@jest/globals";
import fc from "fast-check";
import { tilePixels } from "../src/make/tilePixels";
import { notesOf } from "./making";
import { partDesign } from "./testDesign";
import { members } from "./randomMembers";

test("a hexagonal tile's sides are whole pixels and keep their proportion within a thousandth", () => {
  fc.assert(
    fc.property(fc.double({ min: 5, max: 80, noNaN: true }), fc.constantFrom(72, 96, 150, 300), (pitch, dpi) => {
      for (const [across, down] of [
        [pitch, pitch * Math.sqrt(3)],
        [pitch * Math.sqrt(3), pitch],
      ] as const) {
        const { width, height, dpi: own } = tilePixels(across, down, dpi);
        expect(Math.abs(width / height / (across / down) - 1)).toBeLessThan(0.0011);
        expect(own / dpi).toBeLessThan(2.1);
        expect(own / dpi).toBeGreaterThan(0.45);
      }
    }),
    { numRuns: members(100) },
  );
});

test("a tile whose sides fit is made as asked; another says at which resolution it is made", () => {
  expect(tilePixels(25.4, 50.8, 100)).toEqual({ width: 100, height: 200, dpi: 100 });
  const grid = (lattice: string, pitch: number) =>
    partDesign({ kind: "disc", radius: 2 }, [{ kind: "grid", lattice, pitch, columns: 9, rows: 9 }]);
  expect(notesOf("tile.png", grid("square", 10), { dpi: 254 })).toBe("");
  expect(notesOf("tile.png", grid("hex", 6), { dpi: 72 })).toMatch(/made at \d+\.\d dots an inch, \d+ by \d+ pixels/);
});
