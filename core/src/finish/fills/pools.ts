import { choice } from "../../fields/choice";
import { color } from "../../fields/color";
import type { StoredOf } from "../../fields/field";
import { given } from "../../fields/given";
import { list } from "../../fields/list";
import { MOST_POOLS } from "../../fields/most";
import { number } from "../../fields/number";
import { record } from "../../fields/record";
import { GRADIENT_OVER } from "../over";
import { middleOfPools, POOL_PIXELS, poolsRaster } from "../pools";
import { BOX_PLACE } from "./boxPlace";
import { defineWithin } from "./definition";

const POOL = record({
  x: given(number("factor", 0.5, BOX_PLACE)),
  y: given(number("factor", 0.5, BOX_PLACE)),
  color: given(color()),
  reach: number("factor", 1, { min: 0.01, max: 100, step: 0.05 }),
});

/** What one pool holds. */
export const POOL_FIELDS = POOL.fields;
/** A colour at a place in shares of the box, and how far it reaches beside the others. */
export type PoolValue = StoredOf<typeof POOL.fields>;

/** Placed colours that blend into each other over each copy or the whole part. */
export const pools = defineWithin({
  kind: "pools",
  fields: { points: given(list(POOL, { least: 1, most: MOST_POOLS })), over: choice(GRADIENT_OVER, "copy") },
  pictured: `pools of colour at ${POOL_PIXELS} dots on their longer side`,
  recolored: (colors, own) => ({ ...own, points: pointsOf(colors, own.points) }),
  colorsOf: ({ points }) => points.map((pool) => pool.color),
  overOf: ({ over }) => over,
  middle: middleOfPools,
  place: (paint, box, reach) => ({ kind: "picture", ...poolsRaster(paint, box, reach) }),
  along: (paint) => {
    const middle = middleOfPools(paint);
    return () => middle;
  },
});

/** Where pools begin: in the corners first, then the middle and the middles of the sides. */
const PLACES = [
  { x: 0, y: 0 },
  { x: 1, y: 1 },
  { x: 1, y: 0 },
  { x: 0, y: 1 },
  { x: 0.5, y: 0.5 },
  { x: 0.5, y: 0 },
  { x: 1, y: 0.5 },
  { x: 0.5, y: 1 },
  { x: 0, y: 0.5 },
] as const;

/** Pools of the given colours; those there were keep their places, whether one was added or one left. */
function pointsOf(colors: readonly string[], before: readonly PoolValue[]): PoolValue[] {
  const left = before.length > colors.length ? before.filter((pool) => colors.includes(pool.color)) : before;
  return colors.map((own, index) => ({
    reach: 1,
    ...(left[index] ?? PLACES[index % PLACES.length] ?? { x: 0.5, y: 0.5 }),
    color: own,
  }));
}
