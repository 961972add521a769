import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import type { Face } from "../src/geometry/arrangement/arrange";
import { polar, rotation, translation, multiply, type Point } from "../src";
import { numbersAround, orbitsOf } from "../src/join/orbits";
import { alternate, type Passing } from "../src/join/weave/alternate";
import { sourcePlacement, type Placements } from "../src/rules/placements";
import { members } from "./randomMembers";

const CENTRE = { x: 0, y: 0 };
const face = (centre: Point, area = 4): Face => ({ outline: [], covering: [], area, centre, group: 0 });

/** Copies turned about a point. */
function turned(count: number, about: Point = CENTRE): Placements {
  const matrices = Array.from({ length: count }, (_, k) =>
    multiply(translation(about.x, about.y), multiply(rotation((360 * k) / count), translation(-about.x, -about.y))),
  );
  return { ...sourcePlacement([1, 0, 0, 1, 0, 0]), count, matrices: Float64Array.from(matrices.flat()) };
}

/** Faces at equal angles, so far from a point. */
const round = (count: number, radius: number, start = 0, about: Point = CENTRE) =>
  Array.from({ length: count }, (_, k) => {
    const { x, y } = polar(radius, start + (360 * k) / count);
    return face({ x: about.x + x, y: about.y + y });
  });

describe("orbits of faces", () => {
  test("faces that turns carry onto each other are one orbit; orbits count from the centre out", () => {
    const faces = [...round(6, 20, 15), face(CENTRE), ...round(6, 10)];
    expect(orbitsOf(faces, turned(6), CENTRE)).toEqual([2, 2, 2, 2, 2, 2, 0, 1, 1, 1, 1, 1, 1]);
  });

  test("about any centre, and for any count", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 40 }),
        fc.integer({ min: -30, max: 30 }),
        fc.double({ min: 1, max: 359, noNaN: true }),
        (count, x, start) => {
          const about = { x, y: x / 3 };
          const faces = [...round(count, 12, start, about), ...round(count, 31, start * 2, about)];
          const orbits = orbitsOf(faces, turned(count, about), about);
          expect(orbits).toEqual([...new Array(count).fill(0), ...new Array(count).fill(1)]);
        },
      ),
      { numRuns: members(30) },
    );
  });

  test("a face of another area is none of them, nor is one that stands elsewhere", () => {
    const faces = round(6, 10).map((own, k) => (k === 2 ? { ...own, area: 5 } : own));
    const orbits = orbitsOf(faces, turned(6), CENTRE);
    expect(orbits.filter((orbit) => orbit === orbits[2])).toHaveLength(1);
    const moved = round(6, 10).map((own, k) => (k === 3 ? face({ x: own.centre.x + 0.1, y: own.centre.y }) : own));
    expect(new Set(orbitsOf(moved, turned(6), CENTRE)).size).toBe(2);
  });

  test("copies that no map carries onto themselves leave every face an orbit of its own", () => {
    const placements = turned(6);
    const matrices = placements.matrices.slice();
    matrices[4] = 3;
    expect(new Set(orbitsOf(round(6, 10), { ...placements, matrices }, CENTRE)).size).toBe(6);
    expect(new Set(orbitsOf(round(4, 10), sourcePlacement([1, 0, 0, 1, 0, 0]), CENTRE)).size).toBe(4);
  });

  test("within an orbit they are numbered clockwise from the top, one a hair before it first", () => {
    const faces = round(4, 10).reverse();
    expect(numbersAround(faces, [0, 0, 0, 0], CENTRE)).toEqual([3, 2, 1, 0]);
    const nearly = [face(polar(10, 90)), face(polar(10, 359.99)), face(polar(10, 180))];
    expect(numbersAround(nearly, [0, 0, 0], CENTRE)).toEqual([1, 0, 2]);
    expect(numbersAround(faces, [0, 1, 0, 1], CENTRE)).toEqual([1, 1, 0, 0]);
  });
});

describe("over and under in turn", () => {
  /** Long straight lines by their angle and how far they are from the centre; every two cross once. */
  function crossingsOf(lines: readonly { readonly angle: number; readonly away: number }[]): Passing[] {
    const passings: Passing[] = [];
    const alongOf = (own: { angle: number; away: number }, { x, y }: Point) =>
      x * Math.cos(own.angle) + y * Math.sin(own.angle);
    lines.forEach((p, i) =>
      lines.slice(i + 1).forEach((q, j) => {
        // −sin a · x + cos a · y = away, for both.
        const determinant = Math.sin(q.angle - p.angle);
        const x = (p.away * Math.cos(q.angle) - q.away * Math.cos(p.angle)) / determinant;
        const y = (p.away * Math.sin(q.angle) - q.away * Math.sin(p.angle)) / determinant;
        passings.push({ strands: [i, i + 1 + j], along: [alongOf(p, { x, y }), alongOf(q, { x, y })] });
      }),
    );
    return passings;
  }

  /** For each strand whether it lies over at its crossings, in their order along it. */
  function along(passings: readonly Passing[], over: readonly (0 | 1)[], strand: number): boolean[] {
    const own = passings.flatMap(({ strands, along: places }, crossing) => {
      const side = strands.indexOf(strand);
      return side < 0 ? [] : [{ at: places[side] ?? 0, over: over[crossing] === side }];
    });
    return own.sort((a, b) => a.at - b.at).map((visit) => visit.over);
  }

  test("straight lines in any number and place always can: each goes over and under along all its crossings", () => {
    const aways = fc.array(fc.double({ min: -20, max: 20, noNaN: true }), { minLength: 2, maxLength: 9 });
    fc.assert(
      fc.property(aways, fc.double({ min: 0, max: 3, noNaN: true }), (each, start) => {
        const lines = each.map((away, k) => ({ away, angle: start + (Math.PI * k) / each.length }));
        const passings = crossingsOf(lines);
        const places = lines.map((_, strand) =>
          passings
            .flatMap(({ strands, along: at }) => (strands.includes(strand) ? [at[strands.indexOf(strand)] ?? 0] : []))
            .sort((a, b) => a - b),
        );
        // Three that cross in one place have no order.
        fc.pre(places.every((own) => own.every((at, k) => k === 0 || at - (own[k - 1] ?? 0) > 1e-6)));
        const { over, failing } = alternate(passings, () => false);
        expect(failing.size).toBe(0);
        lines.forEach((_, strand) => {
          const visits = along(passings, over, strand);
          visits.slice(1).forEach((isOver, k) => expect(isOver).toBe(!visits[k]));
        });
      }),
    );
  });

  test("a closed strand over an odd number of others cannot: one crossing fails and is told", () => {
    const passings: Passing[] = [1, 2, 3].map((other) => ({ strands: [0, other], along: [other, 0] }));
    const isRing = (strand: number) => strand === 0;
    expect(alternate(passings, isRing).failing.size).toBe(1);
    expect(alternate(passings, () => false).failing.size).toBe(0);
    const four: Passing[] = [...passings, { strands: [0, 4], along: [4, 0] }];
    expect(alternate(four, isRing).failing.size).toBe(0);
    expect(along(four, alternate(four, isRing).over, 0)).toEqual([true, false, true, false]);
  });

  test("a strand that crosses itself three times, as a knot does, alternates at all six passages", () => {
    const knot: Passing[] = [
      { strands: [0, 0], along: [0, 3] },
      { strands: [0, 0], along: [4, 1] },
      { strands: [0, 0], along: [2, 5] },
    ];
    const { over, failing } = alternate(knot, () => true);
    expect(failing.size).toBe(0);
    const passages = knot.flatMap(({ along: [a, b] }, crossing) => [
      { at: a, over: over[crossing] === 0 },
      { at: b, over: over[crossing] === 1 },
    ]);
    const inOrder = passages.sort((p, q) => p.at - q.at).map((passage) => passage.over);
    expect(inOrder.slice(1).every((isOver, k) => isOver === !inOrder[k])).toBe(true);
  });
});
