import { following, number } from "../fields/number";
import { pivot } from "../fields/pivot";
import { type Pivot } from "../fields/field";
import { FULL_TURN } from "../geometry/angle";
import { about, rotation } from "../geometry/matrix";
import { reachFrom } from "../geometry/box";
import { aroundLinks } from "./aroundLinks";
import { countMark } from "./countMark";
import { defineRule, type Mark } from "./definition";
import { linkNumbers, type LinkedNumbers } from "./linkedNumbers";
import { packMatrices } from "./pack";
import { pivotPoint } from "./pivotPoint";

interface TurnValues {
  readonly count: number;
  readonly angle: number | undefined;
  readonly span: number | undefined;
  readonly start: number;
  readonly pivot: Pivot;
}

/** The count's handle stands so many times as far out as the angle's. */
const FURTHER = 1.15;

/** Copy j is turned by start + j·θ about the pivot; θ divides the span, a full turn unless it is given. */
export const turn = defineRule<TurnValues>({
  kind: "turn",
  fields: {
    count: number("count", 8),
    angle: following("angle"),
    /** count × angle; where both are held the count follows. */
    span: following("angle"),
    start: number("angle", 0),
    pivot: pivot({ point: { x: 0, y: 0 } }),
  },
  copies: (values) => linked(values).count,
  transforms(values, group) {
    const { count, spacing, span, follows } = linked(values);
    const centre = pivotPoint(values.pivot, group);
    // Whole fractions of a turn are divided last, so that a quarter turn is exactly 90°.
    const turnOf = (j: number) => (follows === "spacing" ? (j * span) / count : j * spacing);
    return { matrices: packMatrices(count, (j) => about(centre, rotation(values.start + turnOf(j)))) };
  },
  marks(values, group) {
    const at = pivotPoint(values.pivot, group);
    const numbers = linked(values);
    const { count, spacing } = numbers;
    const { start } = values;
    const marks: Mark[] = [
      { kind: "wedge", pivot: at, from: start - spacing / 2, to: start + spacing / 2 },
      { kind: "pivot", field: "pivot", at, box: group.box() },
    ];
    if (count > 1) {
      // Where the second copy's direction is: pulled, it sets the angle.
      const reach = reachFrom(group.box(), at, 10) * 1.1;
      marks.push({ kind: "direction", field: "angle", centre: at, reach, degrees: start + spacing, from: start });
      const pulled = { field: "count", centre: at, reach: reach * FURTHER, from: start, closed: true };
      const counted = countMark(numbers, pulled);
      if (counted) marks.push(counted);
    }
    return marks;
  },
  folds: (values) => linked(values).count,
  links: (values) => [aroundLinks(linked(values), { count: "count", spacing: "angle", span: "span" })],
});

function linked({ count, angle, span }: Pick<TurnValues, "count" | "angle" | "span">): LinkedNumbers {
  const usual = { span: FULL_TURN };
  return linkNumbers({ count, spacing: angle, span, usual, gaps: (copies) => copies, countFor: (gaps) => gaps });
}
