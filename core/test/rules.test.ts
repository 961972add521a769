import { describe, expect, test } from "@jest/globals";
import { buildScene, indexUnder, matrixAt, numberUnder, type LinkReport, type Matrix, type Placements } from "../src";
import { ringSpacing } from "../src/rules/ring";
import { stepMatrix } from "../src/rules/step";
import fc from "fast-check";
import { apply, fixedPoint, multiply, rotation, scaling } from "../src/geometry/matrix";
import { distance } from "../src/geometry/point";
import { matricesOf, partOf } from "./scenes";
import { partDesign } from "./testDesign";

/** A shape with no symmetry of its own: a petal standing askew. */
const ASKEW = { kind: "petal", at: { x: 7, turn: 20 } };

function linksOf(rule: object): readonly LinkReport[] {
  return (
    buildScene(partDesign(ASKEW, [rule]))
      .parts[0]?.geometry.links()
      .get(0) ?? []
  );
}

function placementsOf(motif: object, rules: readonly object[], more: object = {}): Placements {
  const [part] = buildScene(partDesign(motif, rules, more)).parts;
  if (!part) throw new Error("no part");
  return part.geometry.placements;
}

function copiesOf(rules: readonly object[], motif: object = ASKEW): Matrix[] {
  const placements = placementsOf(motif, rules);
  return Array.from({ length: placements.count }, (_, copy) => matrixAt(placements.matrices, copy));
}

function turnedBy([a, b]: Matrix): number {
  return ((Math.atan2(b, a) * 180) / Math.PI + 360) % 360;
}

describe("turn", () => {
  test("the angle follows the count: 7 copies are 51.428571° apart", () => {
    const copies = copiesOf([{ kind: "turn", count: 7 }]);
    expect(turnedBy(copies[1] ?? [1, 0, 0, 1, 0, 0])).toBeCloseTo(51.428571, 6);
    expect(turnedBy(copies[6] ?? [1, 0, 0, 1, 0, 0])).toBeCloseTo(308.571429, 6);
  });

  test("14 × 25° is 350°, 10° short of a full circle; a count alone closes it", () => {
    const turned = (fields: object) => linksOf({ kind: "turn", ...fields })[0];
    expect(turned({ count: 14, angle: 25 })).toMatchObject({ count: 14, spacing: 25, span: 350, short: 10 });
    expect(turned({ count: 7 })?.short).toBe(0);
    expect(turned({ count: 7, angle: 360 / 7 })?.short).toBe(0);
    expect(turned({ count: 15, angle: 25 })?.short).toBe(-15);
  });

  test("turns about the pivot: the pivot stays, given as a point or as a place in the box", () => {
    for (const pivot of [{ x: 3, y: -4 }, { box: { x: 0.5, y: 0.5 } }]) {
      const copies = copiesOf([{ kind: "turn", count: 5, pivot }], {
        kind: "rectangle",
        width: 6,
        height: 8,
        at: { x: 3 },
      });
      for (const [a, b, c, d, e, f] of copies) {
        expect(a * 3 + c * -4 + e).toBeCloseTo(3, 12);
        expect(b * 3 + d * -4 + f).toBeCloseTo(-4, 12);
      }
    }
  });

  test("start turns the first copy", () => {
    expect(turnedBy(copiesOf([{ kind: "turn", count: 4, start: 30 }])[1] ?? [1, 0, 0, 1, 0, 0])).toBeCloseTo(120, 12);
  });
});

describe("reflect", () => {
  test("then turn 8 is the dihedral group of order 16", () => {
    const copies = copiesOf([{ kind: "reflect" }, { kind: "turn", count: 8 }]);
    const wanted = Array.from({ length: 8 }, (_, j) => (j * Math.PI) / 4).flatMap((angle) => {
      const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
      return [
        [cos, sin, -sin, cos, 0, 0],
        [-cos, -sin, -sin, cos, 0, 0],
      ];
    });
    expect(copies).toHaveLength(16);
    copies.forEach((copy, index) => {
      copy.forEach((entry, place) => expect(entry).toBeCloseTo(wanted[index]?.[place] ?? NaN, 12));
    });
  });

  test("a copy that is its own image is not doubled, whatever makes it symmetric", () => {
    expect(copiesOf([{ kind: "reflect" }], { kind: "petal" })).toHaveLength(1);
    expect(copiesOf([{ kind: "reflect" }], { kind: "disc", radius: 30 })).toHaveLength(1);
    expect(copiesOf([{ kind: "reflect", angle: 30 }], { kind: "star", points: 6 })).toHaveLength(1);
    expect(copiesOf([{ kind: "reflect", angle: 60 }], { kind: "star", points: 6, bulge: 0.2 })).toHaveLength(1);
    expect(copiesOf([{ kind: "reflect", angle: 17 }], { kind: "star", points: 6 })).toHaveLength(2);
    expect(copiesOf([{ kind: "reflect", through: { x: 0.5, y: 0 } }], { kind: "petal" })).toHaveLength(2);
    expect(copiesOf([{ kind: "reflect", glide: 5 }], { kind: "petal" })).toHaveLength(2);
  });

  test("copies left out do not disturb the count of the others under each rule", () => {
    const placements = placementsOf({ kind: "petal" }, [
      { kind: "turn", count: 4 },
      { kind: "reflect" },
      { kind: "turn", count: 3, pivot: { x: 90, y: 0 } },
    ]);
    expect(placements.count).toBe(18);
    const of = (rule: number) => Array.from({ length: 6 }, (_, copy) => indexUnder(placements, rule, copy));
    expect(of(0)).toEqual([0, 1, 2, 3, 1, 3]);
    expect(of(1)).toEqual([0, 0, 0, 0, 1, 1]);
    expect(indexUnder(placements, 2, 17)).toBe(2);
  });

  test("the image alone, slid along the line", () => {
    const [copy] = copiesOf([{ kind: "reflect", keep: false, angle: 90, glide: 12 }]);
    expect(copy?.map((entry) => entry + 0)).toEqual([1, 0, 0, -1, 12, 0]);
  });
});

describe("step", () => {
  test("24 times 11° and 0.94 about the bottom centre: the last copy is turned 253° and scaled 0.240958", () => {
    const copies = copiesOf([{ kind: "step", count: 24, turn: 11, scale: 0.94, pivot: { box: { x: 0.5, y: 1 } } }]);
    const last = copies[23] ?? [1, 0, 0, 1, 0, 0];
    expect(turnedBy(last)).toBeCloseTo(253, 9);
    expect(Math.hypot(last[0], last[1])).toBeCloseTo(0.240958, 6);
  });

  test("move (6, 0) after a quarter turn about the origin rests at (3, 3)", () => {
    const at = fixedPoint(stepMatrix(90, { x: 1, y: 1 }, { x: 6, y: 0 }, { x: 0, y: 0 }));
    expect(at?.x).toBeCloseTo(3, 12);
    expect(at?.y).toBeCloseTo(3, 12);
    expect(fixedPoint(stepMatrix(0, { x: 1, y: 1 }, { x: 6, y: 0 }, { x: 0, y: 0 }))).toBeNull();
  });

  test("rise and the scale of height go on from copy to copy and through later rules", () => {
    const { rise, zScale } = placementsOf(ASKEW, [
      { kind: "step", count: 3, rise: 2, zScale: 0.5 },
      { kind: "turn", count: 2 },
    ]);
    expect([...(rise ?? [])]).toEqual([0, 2, 4, 0, 2, 4]);
    expect([...(zScale ?? [])]).toEqual([1, 0.5, 0.25, 1, 0.5, 0.25]);
    expect(placementsOf(ASKEW, [{ kind: "turn", count: 2 }]).rise).toBeNull();
  });

  test("scales each way apart", () => {
    const [, copy] = copiesOf([{ kind: "step", count: 2, scale: { x: 0.5, y: 0.8 }, pivot: { x: 0, y: 0 } }]);
    expect(copy).toEqual([0.5, 0, 0, 0.8, 0, 0]);
  });
});

describe("step along own axes", () => {
  const OWN = { kind: "step", count: 18, turn: 20, scale: { x: 0.97, y: 0.95 } };

  test("18 times 20°, 0.97 across and 0.95 down: copy 17 is 0.5958 wide, 0.4181 long and square", () => {
    const [a, b, c, d] = copiesOf([OWN])[17] ?? [0, 0, 0, 0, 0, 0];
    expect(Math.hypot(a, b)).toBeCloseTo(0.97 ** 17, 12);
    expect(Math.hypot(c, d)).toBeCloseTo(0.95 ** 17, 12);
    expect(Math.abs(a * c + b * d) / (Math.hypot(a, b) * Math.hypot(c, d))).toBeLessThan(1e-9);
    expect(turnedBy([a, b, c, d, 0, 0])).toBeCloseTo(340, 9);
    const [e = 0, f = 0, g = 0, h = 0] = copiesOf([{ ...OWN, axes: "fixed" }])[17] ?? [];
    expect(Math.abs(e * g + f * h) / (Math.hypot(e, f) * Math.hypot(g, h))).toBeGreaterThan(0.01);
  });

  test("copies stand where each has moved along the axes of the one before, and wind to the point that is shown", () => {
    const factor = fc.double({ min: 0.5, max: 1.05, noNaN: true });
    const number = fc.double({ min: -60, max: 60, noNaN: true });
    fc.assert(
      fc.property(factor, factor, number, number, number, (sx, sy, turn, x, y) => {
        const rule = { kind: "step", count: 40, turn, scale: { x: sx, y: sy }, move: { x, y }, pivot: { x: 3, y: 4 } };
        let foot = { x: 3, y: 4 };
        copiesOf([rule]).forEach((copy, j) => {
          const at = apply(copy, { x: 3, y: 4 });
          expect(at.x).toBeCloseTo(foot.x, 6);
          expect(at.y).toBeCloseTo(foot.y, 6);
          const by = apply(multiply(rotation(j * turn), scaling(sx ** j, sy ** j)), { x, y });
          foot = { x: foot.x + by.x, y: foot.y + by.y };
        });
        if (sx > 0.8 || sy > 0.8 || sx === sy) return;
        const { geometry } = partOf(partDesign({ kind: "petal" }, [rule]));
        const fixed = geometry.marks().find(({ mark }) => mark.kind === "fixedPoint")?.mark;
        expect(fixed?.kind === "fixedPoint" && distance(fixed.at, foot)).toBeLessThan(0.2);
      }),
    );
  });

  test("about the motif's foot, wherever the motif stands", () => {
    const motif = { kind: "petal", at: { x: 7, y: -2, turn: 30 } };
    for (const kind of ["step", "turn"]) {
      const part = partOf(partDesign(motif, [{ kind, count: 5, pivot: "foot" }]));
      for (const copy of matricesOf(part)) {
        const foot = apply(copy, { x: 7, y: -2 });
        expect(foot.x).toBeCloseTo(7, 9);
        expect(foot.y).toBeCloseTo(-2, 9);
      }
    }
  });
});

describe("ring", () => {
  test("9 copies on radius 50 facing out", () => {
    const copies = copiesOf([{ kind: "ring", count: 9, radius: 50 }]);
    expect(copies[0]?.[4]).toBeCloseTo(0, 12);
    expect(copies[0]?.[5]).toBeCloseTo(-50, 12);
    expect(copies[1]?.[4]).toBeCloseTo(32.13938, 6);
    expect(copies[1]?.[5]).toBeCloseTo(-38.302222, 6);
    expect(turnedBy(copies[1] ?? [1, 0, 0, 1, 0, 0])).toBeCloseTo(40, 9);
  });

  test("three rings, 6 copies growing by 6, are 36, and each copy knows its ring", () => {
    const placements = placementsOf(ASKEW, [{ kind: "ring", count: 6, rings: 3, growth: 6 }]);
    expect(placements.count).toBe(36);
    const perRing = [0, 0, 0];
    for (let copy = 0; copy < 36; copy++)
      perRing[numberUnder(placements, 0, "rings", copy)] =
        (perRing[numberUnder(placements, 0, "rings", copy)] ?? 0) + 1;
    expect(perRing).toEqual([6, 12, 18]);
  });

  test("a closed circle divides by the count, an open arc by one less", () => {
    expect(ringSpacing(9, 360)).toBe(40);
    expect(ringSpacing(5, 180)).toBe(45);
    expect(ringSpacing(1, 90)).toBe(0);
    const copies = copiesOf([{ kind: "ring", count: 3, arc: 180, radius: 10 }]);
    expect(copies[2]?.[5]).toBeCloseTo(10, 12);
  });

  test.each([
    ["out", 90],
    ["in", 270],
    ["along", 180],
    ["fixed", 0],
  ])("facing %s, the copy on the right is turned %d°", (face, turned) => {
    const copies = copiesOf([{ kind: "ring", count: 4, face }]);
    expect(turnedBy(copies[1] ?? [1, 0, 0, 1, 0, 0])).toBeCloseTo(turned, 9);
  });

  test("on an ellipse the copies are evenly spaced by length, or seen at even angles", () => {
    const radius = { x: 60, y: 25 };
    const arcLength = (from: number, to: number) => {
      const steps = 4000;
      let sum = 0;
      for (let k = 0; k < steps; k++) {
        const t = from + ((to - from) * (k + 0.5)) / steps;
        sum += (Math.hypot(60 * Math.cos(t), 25 * Math.sin(t)) * (to - from)) / steps;
      }
      return sum;
    };
    const angleOf = ([, , , , e, f]: Matrix) => (Math.atan2(e / 60, -f / 25) + 2 * Math.PI) % (2 * Math.PI);
    const byLength = copiesOf([{ kind: "ring", count: 7, radius }]).map(angleOf);
    const lengths = byLength.map((angle, index) =>
      arcLength(angle, index === 6 ? 2 * Math.PI : (byLength[index + 1] ?? 0)),
    );
    const mean = lengths.reduce((sum, length) => sum + length, 0) / 7;
    for (const length of lengths) expect(Math.abs(length - mean)).toBeLessThan(1e-5 * mean);
    const byAngle = copiesOf([{ kind: "ring", count: 8, radius, spacing: "angle" }]);
    byAngle.forEach(([, , , , e, f], index) => {
      expect(((Math.atan2(e, -f) * 180) / Math.PI + 360) % 360).toBeCloseTo(index * 45, 9);
    });
  });

  test("every third copy is mirrored, stagger turns by a share of the spacing", () => {
    const flips = copiesOf([{ kind: "ring", count: 6, flipEvery: 3 }]).map(([a, b, c, d]) => a * d - b * c < 0);
    expect(flips).toEqual([false, false, true, false, false, true]);
    const staggered = copiesOf([{ kind: "ring", count: 4, rings: 2, stagger: 0.5, radius: 10, gap: 10 }]);
    expect(turnedBy(staggered[4] ?? [1, 0, 0, 1, 0, 0])).toBeCloseTo(45, 12);
    expect(Math.hypot(staggered[4]?.[4] ?? 0, staggered[4]?.[5] ?? 0)).toBeCloseTo(20, 12);
  });
});

describe("rules in order", () => {
  test("each rule repeats everything before it, all of copy 0 first, and the part's place comes last", () => {
    const rules = [
      { kind: "turn", count: 2 },
      { kind: "ring", count: 3, radius: 10, face: "fixed" },
    ];
    const plain = placementsOf(ASKEW, rules);
    const placed = placementsOf(ASKEW, rules, { at: { x: 100, turn: 90, size: 2 } });
    expect(plain.count).toBe(6);
    expect(matrixAt(plain.matrices, 0)[5]).toBeCloseTo(-10, 12);
    expect(matrixAt(plain.matrices, 1)[0]).toBeCloseTo(-1, 12);
    expect([0, 1, 2, 3, 4, 5].map((copy) => indexUnder(plain, 1, copy))).toEqual([0, 0, 1, 1, 2, 2]);
    const first = matrixAt(placed.matrices, 0);
    expect(first[4]).toBeCloseTo(120, 12);
    expect(first[1]).toBeCloseTo(2, 12);
  });

  test("a rule that is off does nothing", () => {
    expect(placementsOf(ASKEW, [{ kind: "turn", count: 5, on: false }]).count).toBe(1);
  });
});
