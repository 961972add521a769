import { expect, test } from "@jest/globals";
import fc from "fast-check";
import { boxOfPath, segmentsOf, subpathOf, type Subpath } from "../src/geometry/path";
import { pieceOf, pointAt, type Cubic } from "../src/geometry/cubic";
import { rejoined } from "../src/geometry/rejoin";
import { members } from "./randomMembers";

const WITHIN = 0.001;
const coordinate = fc.double({ min: -20, max: 20, noNaN: true });
const point = fc.record({ x: coordinate, y: coordinate });

/** A curve cut at shares of its parameter. */
function cutUp(cubic: Cubic, shares: readonly number[]): Subpath {
  const cuts = [0, ...[...shares].sort((a, b) => a - b), 1];
  return subpathOf(
    cuts.slice(1).map((to, k) => pieceOf(cubic, cuts[k] ?? 0, to)),
    false,
  );
}

const shares = fc
  .uniqueArray(fc.integer({ min: 1, max: 19 }), { minLength: 1, maxLength: 5 })
  .map((own) => own.map((k) => k / 20));

test("pieces of one curve are that curve again", () => {
  fc.assert(
    fc.property(point, point, point, point, shares, (a, b, c, d, cuts) => {
      const bends = [b, c].every(({ x, y }) => Math.hypot(x - a.x, y - a.y) > 1 && Math.hypot(x - d.x, y - d.y) > 1);
      fc.pre(bends && Math.hypot(a.x - d.x, a.y - d.y) > 1);
      const [run] = rejoined([cutUp([a, b, c, d], cuts)], WITHIN);
      const joined = run ? segmentsOf(run) : [];
      const [start, end] = [joined[0]?.[0], joined.at(-1)?.[3]];
      expect(Math.hypot((start?.x ?? NaN) - a.x, (start?.y ?? NaN) - a.y)).toBeLessThan(1e-9);
      expect(Math.hypot((end?.x ?? NaN) - d.x, (end?.y ?? NaN) - d.y)).toBeLessThan(1e-9);
      expect(joined.length).toBeLessThanOrEqual(cuts.length + 1);
    }),
  );
});

test("pieces of what is nearly straight do not go further than it goes", () => {
  const off = fc.double({ min: -1e-9, max: 1e-9, noNaN: true });
  const ratio = fc.double({ min: 0.02, max: 0.45, noNaN: true });
  fc.assert(
    fc.property(point, point, ratio, ratio, off, shares, (a, d, from, to, across, cuts) => {
      fc.pre(Math.hypot(a.x - d.x, a.y - d.y) > 1);
      const along = (t: number) => ({ x: a.x + (d.x - a.x) * t + across, y: a.y + (d.y - a.y) * t - across });
      // Each piece with handles of its own: the same line, travelled at another pace.
      const run = cutUp([a, along(from), along(1 - to), d], cuts);
      const paced = subpathOf(
        segmentsOf(run).map((piece, k): Cubic =>
          k % 2 === 0 ? piece : [piece[0], pointAt(piece, 0.1), pointAt(piece, 0.6), piece[3]],
        ),
        false,
      );
      const [before, after] = [boxOfPath([run]), boxOfPath(rejoined([paced], WITHIN))];
      expect(after.left).toBeGreaterThan(before.left - 0.01);
      expect(after.right).toBeLessThan(before.right + 0.01);
      expect(after.top).toBeGreaterThan(before.top - 0.01);
      expect(after.bottom).toBeLessThan(before.bottom + 0.01);
    }),
    { numRuns: members(300) },
  );
});
