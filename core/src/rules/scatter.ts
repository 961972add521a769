import { choice } from "../fields/choice";
import { number } from "../fields/number";
import { structure } from "../fields/structure";
import { partName, SHEET } from "../fields/partName";
import { list } from "../fields/list";
import type { Limits } from "../fields/limits";
import type { Resolver } from "../fields/resolver";
import type { NumberValue } from "../formula/numbers";
import { lengthHandle } from "../motif/handles";
import { at } from "../geometry/at";
import type { Box } from "../geometry/box";
import type { Matrix } from "../geometry/matrix";
import { ORIGIN, type Point } from "../geometry/point";
import { areaWithin } from "../geometry/area";
import { spend } from "../geometry/effort";
import { randomFrom } from "../geometry/random";
import { defineRule, type Group } from "./definition";
import { standing } from "./facing";
import { packMatrices } from "./pack";
import { scatterPoints } from "./scatterPoints";
import { AreasNear, footprintOf, liesWithin } from "./wholeWithin";

interface Range {
  readonly from: number;
  readonly to: number;
}

interface ScatterValues {
  readonly region: string;
  readonly gap: number;
  readonly count: number;
  readonly seed: number;
  readonly turn: Range;
  readonly size: Range;
  readonly avoid: readonly string[];
  readonly keeping: Keeping;
  readonly within: Keeping;
}

/** Whether a copy stands free by its foot, or as a whole with its lines. */
const KEEPING = ["foot", "whole"] as const;
type Keeping = (typeof KEEPING)[number];

const ANGLE: Limits = { min: -3_600, max: 3_600, whole: false };
const SIZE: Limits = { min: 0.001, max: 1_000, whole: false };
const MOST_AVOIDED = 50;
/** What a copy that stands as a whole takes for each of its chords. */
const SECONDS_A_CHORD = 8e-6;

/** Copies strewn by a seed over the sheet or a part's area, at least a gap apart, each turned and sized by chance. */
export const scatter = defineRule<ScatterValues>({
  kind: "scatter",
  fields: {
    /** The sheet, or the id of a part. */
    region: partName(SHEET),
    /** The least distance from foot to foot. */
    gap: number("length", 12, { min: 0 }),
    count: number("count", 60),
    seed: number("count", 1, { min: 0, max: 1_000_000_000 }),
    turn: range({ from: 0, to: 0 }, ANGLE),
    size: range({ from: 1, to: 1 }, SIZE),
    /** Parts whose areas stay free. */
    avoid: list(partName(""), { most: MOST_AVOIDED }),
    /** Off those areas by their feet; or as a whole off everything those parts paint. */
    keeping: choice(KEEPING, "foot"),
    /** Within the region by their feet, or as a whole. */
    within: choice(KEEPING, "foot"),
  },
  first: { keeping: "whole", within: "whole" },
  copies: ({ count }) => count,
  handles: ({ gap }) => [lengthHandle("gap", ORIGIN, 90, gap)],
  uses: ({ region, avoid }) => [region, ...avoid],
  paintFrom: ({ avoid, keeping }) => (keeping === "whole" ? avoid : []),
  asksReach: ({ keeping, within }) => keeping === "whole" || within === "whole",
  transforms(values, group) {
    const { count, gap, seed, turn, size } = values;
    const random = randomFrom(seed);
    const pick = ({ from, to }: Range) => from + (to - from) * random();
    const stands = placesFor(values, group);
    // What stands as a whole must know how it is turned and sized before it stands.
    const drawn = new Map<Point, Matrix>();
    const points = scatterPoints({
      box: stands.box,
      gap,
      count,
      random,
      allows(point) {
        if (!stands.foot(point)) return false;
        if (!stands.whole) return true;
        spend(stands.seconds);
        const matrix = standing(point, pick(turn), pick(size));
        drawn.set(point, matrix);
        return stands.whole(matrix);
      },
    });
    if (points.length < count) {
      const found = points.length.toLocaleString("en");
      group.note(`there is room for ${found} of ${count.toLocaleString("en")} at this gap`);
    }
    const matrices = points.map((point) => drawn.get(point) ?? standing(point, pick(turn), pick(size)));
    return { matrices: packMatrices(points.length, (j) => at(matrices, j)) };
  },
});

/** Where copies may stand: asked of a foot first, then of the whole where that counts. */
interface Places {
  readonly box: Box;
  foot: (point: Point) => boolean;
  readonly whole: ((matrix: Matrix) => boolean) | null;
  /** What it takes to look at a whole, seconds. */
  readonly seconds: number;
}

function placesFor({ region, avoid, keeping, within }: ScatterValues, group: Group): Places {
  const { surroundings } = group;
  const area = areaWithin((region === SHEET ? surroundings.sheet() : surroundings.areaOf(region)) ?? []);
  const avoided = keeping === "foot" ? avoid.map((id) => areaWithin(surroundings.areaOf(id) ?? [])) : [];
  const painted = keeping === "whole" ? avoid.flatMap((id) => surroundings.paintedOf(id).map(areaWithin)) : [];
  const around = new AreasNear(painted);
  const foot = (point: Point) => area.contains(point) && !avoided.some((own) => own.contains(point));
  if (keeping === "foot" && within === "foot") return { box: area.box, foot, whole: null, seconds: 0 };
  const footprint = footprintOf(group.outline(), group.reach);
  const whole = (matrix: Matrix) =>
    (within === "foot" || liesWithin(footprint, area, matrix)) && around.areLeftFree(footprint, matrix);
  const seconds = footprint.chords.length * SECONDS_A_CHORD;
  return { box: area.box, foot, whole, seconds };
}

function isEnds(stored: unknown): stored is readonly NumberValue[] {
  return Array.isArray(stored);
}

/** Two numbers, the least and the greatest that chance may give. */
function range(standard: Range, limits: Limits) {
  return structure<readonly NumberValue[], Range>({
    default: standard,
    is: isEnds,
    of: list(number("factor", 0, limits), { least: 2, most: 2 }),
    resolve: ([from = standard.from, to = standard.to], resolver: Resolver, path) => ({
      from: resolver.number(from, limits, `${path}[0]`),
      to: resolver.number(to, limits, `${path}[1]`),
    }),
  });
}
