import { beforeAll, describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { arrange, combine, type Path } from "../src";
import { areaWithin } from "../src/geometry/area";
import { areaOfPath } from "../src/geometry/path";
import { runsWithinLimits } from "../src/join/joinLimits";
import { copiesOf, tool } from "./joinedCopies";
import { withGeometryEngine } from "./prepared";
import { scannedArea } from "./scanLines";
import { members } from "./randomMembers";

beforeAll(withGeometryEngine);

/** Areas of joins agree with areas along level lines to this share of all outlines. */
const SHARE = 5e-4;
const runs = { numRuns: members(12) };
const inside = (winding: number) => winding !== 0;
const areaOf = (path: Path) => Math.abs(areaOfPath(path));

function expectNear(found: number, scanned: number, outlines: readonly Path[]): void {
  expect(Math.abs(found - scanned)).toBeLessThan(SHARE * outlines.reduce((sum, path) => sum + areaOf(path), 0));
}

describe("areas of joins, measured along level lines", () => {
  test("what is merged is what any copy covers", () => {
    fc.assert(
      fc.property(copiesOf, (outlines) => {
        expectNear(
          areaOf(combine(outlines, "union")),
          scannedArea(outlines, (all) => all.some(inside)),
          outlines,
        );
      }),
      runs,
    );
  });

  test("even and odd leave what an odd number of copies covers", () => {
    fc.assert(
      fc.property(copiesOf, (outlines) => {
        const odd = scannedArea(outlines, (all) => all.filter(inside).length % 2 === 1);
        expectNear(areaOf(combine([outlines.flat()], "union", "evenodd")), odd, outlines);
      }),
      runs,
    );
  });

  test("runs that a limit does not come near are cut as all of them together are", () => {
    fc.assert(
      fc.property(copiesOf, tool, (outlines, knife) => {
        const all = [...outlines, knife];
        const odd = combine([outlines.flat()], "union", "evenodd");
        const isOdd = (windings: readonly number[]) => windings.slice(0, -1).filter(inside).length % 2 === 1;
        for (const [limits, isWithin] of [
          [{ taken: null, kept: areaWithin(knife) }, true],
          [{ taken: areaWithin(knife), kept: null }, false],
        ] as const) {
          const left = scannedArea(all, (windings) => isOdd(windings) && inside(windings.at(-1) ?? 0) === isWithin);
          expectNear(areaOf(runsWithinLimits(odd, limits, "nonzero")), left, all);
        }
      }),
      runs,
    );
  });

  test("what is cut away lies outside of the tool, what is kept inside", () => {
    fc.assert(
      fc.property(copiesOf, tool, (outlines, knife) => {
        const all = [...outlines, knife];
        const cut = (windings: readonly number[]) => windings.slice(0, -1).some(inside);
        const within = (windings: readonly number[]) => inside(windings.at(-1) ?? 0);
        const merged = combine(outlines, "union");
        const away = scannedArea(all, (windings) => cut(windings) && !within(windings));
        expectNear(areaOf(combine([merged, knife], "difference")), away, all);
        const kept = scannedArea(all, (windings) => cut(windings) && within(windings));
        expectNear(areaOf(combine([merged, knife], "intersection")), kept, all);
      }),
      runs,
    );
  });

  test("faces are as large together as what just so many copies cover", () => {
    fc.assert(
      fc.property(copiesOf, fc.integer({ min: 1, max: 4 }), (outlines, deep) => {
        const { faces } = arrange(outlines);
        const found = faces.filter(({ covering }) => covering.length === deep).reduce((sum, { area }) => sum + area, 0);
        expectNear(
          found,
          scannedArea(outlines, (all) => all.filter(inside).length === deep),
          outlines,
        );
      }),
      runs,
    );
  });
});
