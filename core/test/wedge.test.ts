import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { directionOf, polar, wedgePath, type Point, type Wedge } from "../src";
import { areaOfPath, boxOfPath } from "../src/geometry/path";
import { areaWithin } from "../src/geometry/area";
import { partOf } from "./scenes";
import { partDesign } from "./testDesign";

const wedgeIn = (motif: object, rules: readonly object[]) => partOf(partDesign(motif, rules)).geometry.wedge();

/** How far round a point lies from where a wedge begins, degrees, 0…360. */
const roundFrom = ({ pivot, from }: Wedge, point: Point) => (directionOf(pivot, point) - from + 720) % 360;

const whole = (min: number, max: number) => fc.integer({ min, max });
const pivots = fc.record({ x: whole(-30, 30), y: whole(-30, 30) });

describe("the wedge one fold owns", () => {
  test("a turn leaves a full circle's share, about its pivot, with the motif in its middle", () => {
    fc.assert(
      fc.property(whole(2, 24), pivots, whole(0, 359), (count, pivot, turn) => {
        const at = polar(25, turn, pivot);
        const wedge = wedgeIn({ kind: "disc", radius: 2, at }, [{ kind: "turn", count, pivot }]);
        expect(wedge?.pivot).toEqual(pivot);
        expect((wedge?.to ?? 0) - (wedge?.from ?? 0)).toBeCloseTo(360 / count, 9);
      }),
    );
  });

  test("turned as the copies are, wedges cover the plane once", () => {
    fc.assert(
      fc.property(whole(2, 24), pivots, whole(0, 359), whole(1, 80), (count, pivot, direction, distance) => {
        const wedge = wedgeIn({ kind: "petal" }, [{ kind: "turn", count, pivot }]);
        if (!wedge) throw new Error("no wedge");
        const point = polar(distance, direction + 0.123, pivot);
        const owners = Array.from({ length: count }, (_, copy) => (360 / count) * copy).filter(
          (turned) => (roundFrom(wedge, point) - turned + 720) % 360 < 360 / count,
        );
        expect(owners).toHaveLength(1);
      }),
    );
  });

  test("mirrored copies own half of it: the half the motif is in", () => {
    for (const side of [1, -1]) {
      const motif = { kind: "disc", radius: 2, at: polar(20, side * 10) };
      const wedge = wedgeIn(motif, [{ kind: "reflect" }, { kind: "turn", count: 6, pivot: { x: 0, y: 0 } }]);
      if (!wedge) throw new Error("no wedge");
      expect(wedge.to - wedge.from).toBeCloseTo(30, 9);
      expect(roundFrom(wedge, polar(20, side * 10))).toBeLessThan(30);
      expect(roundFrom(wedge, polar(20, side * -10))).toBeGreaterThan(30);
    }
    // A mirror that misses the pivot halves nothing.
    const missed = wedgeIn({ kind: "petal" }, [
      { kind: "reflect", through: { x: 5, y: 0 } },
      { kind: "turn", count: 6, pivot: { x: 0, y: 0 } },
    ]);
    expect((missed?.to ?? 0) - (missed?.from ?? 0)).toBeCloseTo(60, 9);
  });

  test("rules without a turn about a point leave none", () => {
    expect(wedgeIn({ kind: "petal" }, [])).toBeNull();
    expect(wedgeIn({ kind: "petal" }, [{ kind: "grid" }])).toBeNull();
  });

  test("as an area it is a sector that reaches beyond the outline it is made for", () => {
    fc.assert(
      fc.property(whole(10, 180), whole(0, 359), pivots, (span, from, pivot) => {
        const around = partOf(partDesign({ kind: "rectangle", width: 40, height: 20 })).geometry.path;
        const sector = wedgePath({ pivot, from, to: from + span }, around);
        const radius = Math.sqrt((Math.abs(areaOfPath(sector)) * 360) / (Math.PI * span));
        const { left, top, right, bottom } = boxOfPath(around);
        const corners = [left, right].flatMap((x) => [top, bottom].map((y) => ({ x, y })));
        const area = areaWithin(sector);
        for (const corner of corners) {
          const [dx, dy] = [corner.x - pivot.x, corner.y - pivot.y];
          expect(Math.hypot(dx, dy)).toBeLessThan(radius);
          const round = (directionOf(pivot, corner) - from + 720) % 360;
          if (Math.min(round, Math.abs(round - span), 360 - round) > 0.5 && Math.hypot(dx, dy) > 0.5)
            expect(area.contains(corner)).toBe(round < span);
        }
      }),
    );
  });
});
