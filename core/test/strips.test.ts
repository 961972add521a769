import { beforeAll, expect, test } from "@jest/globals";
import fc from "fast-check";
import { combine } from "../src/geometry/boolean/boolean";
import { stripAlong, stripLine } from "../src/geometry/strip/strip";
import type { Path } from "../src/geometry/path";
import { areaOf, grown, stroked, united } from "./grownPolygons";
import { withGeometryEngine } from "./prepared";
import { members } from "./randomMembers";
import { outlinesOf, partOf } from "./scenes";
import { partDesign } from "./testDesign";

beforeAll(withGeometryEngine);

const whole = (min: number, max: number) => fc.integer({ min, max });
const kind = <K extends string>(name: K) => fc.constant(name);
const motif = fc.oneof(
  fc.record({ kind: kind("petal"), length: whole(10, 40), width: whole(4, 30) }),
  fc.record({ kind: kind("drop"), length: whole(10, 40), width: whole(4, 30) }),
  fc.record({ kind: kind("ellipse"), rx: whole(3, 25), ry: whole(1, 12) }),
  fc.record({ kind: kind("wave"), length: whole(20, 80), height: whole(3, 20), waves: whole(2, 6) }),
  fc.record({ kind: kind("star"), points: whole(3, 9), outer: whole(14, 26), inner: whole(4, 12) }),
);

/** How far an outline grows, millimetres: what sticks out of it so thinly that it has no area does so then. */
const BY = 0.5;

test("the area of a line, however tightly it bends, is that of its flattened line; nothing sticks out of it", () => {
  fc.assert(
    fc.property(motif, fc.double({ min: 0.3, max: 6, noNaN: true }), (own, width) => {
      const [outline = []] = outlinesOf(partOf(partDesign(own, [])));
      const laid = united(
        outline.flatMap((run): Path => {
          const line = stripLine(run);
          return stripAlong(line, 0, line.measured.length, () => width, { cap: "butt", join: "round" });
        }),
      );
      const exact = stroked(outline, { width, cap: "butt", join: "round" });
      const beyond = (path: Path, other: Path) =>
        areaOf(
          combine([grown(path, BY, "round", "Polygon"), grown(other, BY + 0.02, "round", "Polygon")], "difference"),
        );
      expect(beyond(laid, exact)).toBeLessThan(0.002);
      expect(beyond(exact, laid)).toBeLessThan(0.002);
    }),
    // A line that begins with a bend of no radius.
    { numRuns: members(20), examples: [[{ kind: "petal", length: 28, width: 9 }, 0.3]] },
  );
});
