import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { buildScene, placesToSnap } from "../src";
import { members } from "./randomMembers";
import { designWith } from "./testDesign";

const SHEET = { left: -100, top: -100, right: 100, bottom: 100 };

function placesOf(parts: readonly object[], within = SHEET) {
  return placesToSnap(buildScene(designWith({ parts })).parts, within);
}

describe("places of other parts the hand is drawn to", () => {
  test("ends, nodes, middles and straight sides, with the part's name", () => {
    const { places, sides } = placesOf([
      { id: "a", name: "Rail", motif: { kind: "line", length: 40 }, at: { x: 10 } },
      { id: "b", name: "Tile", motif: { kind: "rectangle", width: 20, height: 10 }, at: { x: -50 } },
    ]);
    const rail = places.filter(({ parts: [name] }) => name === "Rail");
    expect(rail.map(({ kind, at }) => [kind, Math.round(at.x), Math.round(at.y)])).toEqual([
      ["end", 10, 0],
      ["end", 10, -40],
      ["middle", 10, -20],
    ]);
    expect(places.filter(({ kind, parts: [name] }) => name === "Tile" && kind === "node")).toHaveLength(4);
    expect(sides.filter(({ part }) => part === "Tile")).toHaveLength(4);
  });

  test("circles cross where their radii say, each place once, and only what is in view counts", () => {
    const circle = fc.record({
      x: fc.integer({ min: -40, max: 40 }),
      y: fc.integer({ min: -40, max: 40 }),
      radius: fc.integer({ min: 5, max: 40 }),
    });
    fc.assert(
      fc.property(fc.uniqueArray(circle, { minLength: 2, maxLength: 6 }), (circles) => {
        const parts = circles.map(({ x, y, radius }, k) => {
          return { id: `d${k}`, name: `Disc ${k}`, motif: { kind: "disc", radius }, at: { x, y } };
        });
        const { places } = placesOf(parts);
        const crossings = places.filter(({ kind }) => kind === "crossing");
        for (const { at, parts: names } of crossings) {
          for (const name of names) {
            const own = circles[Number(name.slice(5))];
            if (!own) throw new Error(name);
            expect(Math.abs(Math.hypot(at.x - own.x, at.y - own.y) - own.radius)).toBeLessThan(own.radius * 3e-4);
          }
        }
        circles.forEach((a, i) =>
          circles.slice(i + 1).forEach((b) => {
            const far = Math.hypot(a.x - b.x, a.y - b.y);
            // Those that nearly touch are told by nobody.
            if (far > a.radius + b.radius - 0.5 || far < Math.abs(a.radius - b.radius) + 0.5) return;
            const x0 = (far * far + a.radius ** 2 - b.radius ** 2) / (2 * far);
            const h = Math.sqrt(a.radius ** 2 - x0 * x0);
            const [ux, uy] = [(b.x - a.x) / far, (b.y - a.y) / far];
            for (const hand of [1, -1]) {
              const place = { x: a.x + ux * x0 - uy * h * hand, y: a.y + uy * x0 + ux * h * hand };
              const isWithin = (most: number) => (one: (typeof places)[number]) =>
                Math.hypot(one.at.x - place.x, one.at.y - place.y) < most;
              // A node that both have is told as a node.
              const isNode = places.some((one) => one.kind === "node" && isWithin(1e-6)(one));
              expect(isNode || crossings.some(isWithin(0.25))).toBe(true);
            }
          }),
        );
      }),
      { numRuns: members(60) },
    );
    const away = placesOf([{ id: "a", motif: { kind: "disc", radius: 5 }, at: { x: 80 } }], { ...SHEET, right: 60 });
    expect(away.places).toEqual([]);
  });
});
