import { number } from "../fields/number";
import { structure } from "../fields/structure";
import { partName, SHEET } from "../fields/partName";
import { list } from "../fields/list";
import type { Limits } from "../fields/limits";
import type { Resolver } from "../fields/resolver";
import type { NumberValue } from "../formula/numbers";
import { lengthHandle } from "../motif/handles";
import { ORIGIN } from "../geometry/point";
import { areaWithin } from "../geometry/area";
import { randomFrom } from "../geometry/random";
import { defineRule } from "./definition";
import { standing } from "./facing";
import { packMatrices } from "./pack";
import { scatterPoints } from "./scatterPoints";

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
}

const ANGLE: Limits = { min: -3_600, max: 3_600, whole: false };
const SIZE: Limits = { min: 0.001, max: 1_000, whole: false };
const MOST_AVOIDED = 50;

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
  },
  copies: ({ count }) => count,
  handles: ({ gap }) => [lengthHandle("gap", ORIGIN, 90, gap)],
  uses: ({ region, avoid }) => [region, ...avoid],
  transforms(values, group) {
    const { region, count, gap, seed, turn, size, avoid } = values;
    const { surroundings } = group;
    const within = areaWithin((region === SHEET ? surroundings.sheet() : surroundings.areaOf(region)) ?? []);
    const avoided = avoid.map((id) => areaWithin(surroundings.areaOf(id) ?? []));
    const random = randomFrom(seed);
    const points = scatterPoints({
      box: within.box,
      gap,
      count,
      random,
      allows: (point) => within.contains(point) && !avoided.some((area) => area.contains(point)),
    });
    if (points.length < count) {
      const found = points.length.toLocaleString("en");
      group.note(`there is room for ${found} of ${count.toLocaleString("en")} at this gap`);
    }
    const pick = ({ from, to }: Range) => from + (to - from) * random();
    return {
      matrices: packMatrices(points.length, (j) => standing(points[j] ?? { x: 0, y: 0 }, pick(turn), pick(size))),
    };
  },
});

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
