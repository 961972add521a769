import fc from "fast-check";
import type { Design, Path } from "../src";
import { subpathOf, transformPath } from "../src/geometry/path";
import { circleSegments } from "../src/geometry/arc";
import { outlinesOf, partOf } from "./scenes";
import { designWith } from "./testDesign";

/** A whole number between two. */
export const whole = (min: number, max: number) => fc.integer({ min, max });
const kind = <K extends string>(name: K) => fc.constant(name);

/** Motifs that bound an area. */
const motif = fc.oneof(
  fc.record({ kind: kind("disc"), radius: whole(4, 25) }),
  fc.record({ kind: kind("petal"), length: whole(10, 40), width: whole(4, 20), tip: fc.constantFrom(0, 0.6) }),
  fc.record({ kind: kind("star"), points: whole(3, 8), outer: whole(12, 30), inner: whole(4, 11) }),
  fc.record({ kind: kind("polygon"), sides: whole(3, 8), radius: whole(5, 25), corner: whole(0, 3) }),
  fc.record({ kind: kind("rectangle"), width: whole(4, 40), height: whole(4, 40) }),
  fc.record({ kind: kind("ring"), outer: whole(12, 25), inner: whole(2, 11) }),
  fc.record({ kind: kind("drop"), length: whole(10, 40), width: whole(4, 20) }),
  fc.record({ kind: kind("sector"), outer: whole(10, 40), from: whole(0, 60), to: whole(80, 300) }),
);

/** Rules that let copies overlap, touch or stand apart. */
const rule = fc.oneof(
  fc.record({ kind: kind("turn"), count: whole(2, 8) }),
  fc.record({
    kind: kind("reflect"),
    angle: whole(-90, 90),
    through: fc.record({ x: whole(-10, 10), y: whole(-10, 10) }),
  }),
  fc.record({ kind: kind("step"), count: whole(2, 5), turn: whole(5, 60), scale: fc.constantFrom(0.8, 1) }),
  fc.record({ kind: kind("ring"), count: whole(2, 8), radius: whole(5, 40) }),
  fc.record({ kind: kind("grid"), columns: whole(1, 3), rows: whole(1, 3), pitch: whole(8, 40) }),
);

const MOST_COPIES = 24;
/** Ornaments whose copies share edges, arcs and points on purpose. */
const sharing = fc.oneof(
  fc.record({ sides: whole(3, 8), radius: whole(5, 25), count: whole(2, 12) }).map(({ sides, radius, count }) => ({
    motif: { kind: "polygon", sides, radius },
    rules: [{ kind: "turn", count }, { kind: "reflect" }],
  })),
  fc.record({ count: whole(3, 12), over: whole(-5, 20), outer: whole(10, 30) }).map(({ count, over, outer }) => ({
    motif: { kind: "sector", outer, inner: outer / 3, from: 0, to: 360 / count + over },
    rules: [{ kind: "turn", count }],
  })),
  fc.record({ columns: whole(1, 4), rows: whole(1, 4), width: whole(4, 12) }).map(({ columns, rows, width }) => ({
    motif: { kind: "rectangle", width, height: 5 },
    rules: [{ kind: "grid", lattice: "brick", columns, rows, pitch: { x: width, y: 5 } }],
  })),
  fc.record({ columns: whole(2, 4), radius: whole(4, 12) }).map(({ columns, radius }) => ({
    motif: { kind: "polygon", sides: 6, radius },
    rules: [{ kind: "grid", lattice: "hex", columns, rows: 3, pitch: radius * Math.sqrt(3) }],
  })),
  fc.record({ radius: whole(4, 25), count: whole(2, 9) }).map(({ radius, count }) => ({
    motif: { kind: "disc", radius },
    rules: [
      { kind: "ring", count, radius },
      { kind: "turn", count: 2 },
    ],
  })),
);

const general = fc.record({ motif, rules: fc.array(rule, { minLength: 1, maxLength: 2 }) });

/** Rings, spirals, grids and reflections of few copies, some sharing edges and points on purpose. */
export const copies = fc
  .oneof(general, sharing)
  .filter((own) => partOf(designOf(own, {})).geometry.placements.count <= MOST_COPIES);

/** Copies of a motif by rules. */
export interface Copies {
  readonly motif: object;
  readonly rules: readonly object[];
}

/** Copies of a motif joined, beside a disc that can cut them. */
export function designOf({ motif: own, rules }: Copies, join: object, at: object = {}): Design {
  return designWith({
    parts: [
      { id: "a", motif: own, rules, join, at },
      { id: "tool", role: "tool", motif: { kind: "disc", radius: 30 }, at },
    ],
  });
}

/** Their outlines as they stand on the sheet. */
export const copiesOf = copies.map((own): Path[] => outlinesOf(partOf(designOf(own, {}))));

/** A disc somewhere over the copies. */
export const tool = fc
  .record({ radius: whole(5, 40), x: whole(-40, 40), y: whole(-40, 40) })
  .map(({ radius, x, y }): Path => transformPath([subpathOf(circleSegments(radius), true)], [1, 0, 0, 1, x, y]));
