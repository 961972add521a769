import { FULL_TURN } from "../geometry/angle";
import { shortBy, tidy, type LinkedNumbers, type LinkReport } from "./linkedNumbers";

/**
 * How count, angle from copy to copy and span hang together around a centre: 14 × 25° = 350°, 10° short of a full
 * circle, which closes where no span is stored. Degrees; `span` and `closes` say otherwise where a rule knows better.
 */
export function aroundLinks(
  numbers: LinkedNumbers,
  fields: LinkReport["fields"],
  { span = numbers.span, closes = true }: { readonly span?: number; readonly closes?: boolean } = {},
): LinkReport {
  const { count, spacing } = numbers;
  return {
    ...numbers,
    about: "around",
    quantity: "angle",
    fields,
    letFollow: {
      count: { [fields.spacing]: tidy(spacing), [fields.span]: tidy(span) },
      spacing: {
        [fields.count]: count,
        [fields.spacing]: undefined,
        [fields.span]: span === FULL_TURN ? undefined : tidy(span),
      },
      span: { [fields.count]: count, [fields.spacing]: tidy(spacing), [fields.span]: undefined },
    },
    short: closes ? shortBy(FULL_TURN - count * Math.abs(spacing)) : null,
    close: { [fields.count]: count, [fields.spacing]: undefined, [fields.span]: undefined },
  };
}
