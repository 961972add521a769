import {
  apply,
  designResolver,
  placeOfCount,
  polar,
  ruleOf,
  scopeOf,
  type FieldTable,
  type Matrix,
  type NumberHandle,
  type Part,
  type PlacedMark,
  type Point,
  type Rule,
} from "@twin-petal/core";
import { useNumbers } from "../fields/useNumbers";

/** The numbers of a rule that can be pulled on the ornament. */
export interface HandledRule {
  /** The rule's number in the part. */
  readonly rule: number;
  readonly toSheet: Matrix;
  readonly handles: readonly NumberHandle[];
  readonly fields: FieldTable;
  readonly stored: Rule;
}

/** The handles of every rule that has some, where the last picture has its rules. */
export function useRuleHandles(part: Part | undefined, marks: readonly PlacedMark[]): HandledRule[] {
  const scope = scopeOf(useNumbers());
  return marks.flatMap(({ mark, rule, toSheet }) => {
    const stored = part?.rules[rule];
    const definition = stored && ruleOf(stored.kind);
    if (mark.kind !== "space" || !stored || !definition) return [];
    const resolver = designResolver(scope);
    const handles = definition.prepare(stored, resolver, "").handles();
    return resolver.problems.length === 0 ? [{ rule, toSheet, handles, fields: definition.fields, stored }] : [];
  });
}

/** Where the handles of rules stand on the sheet: those of the motif give way to them. */
export function handlePlaces(marks: readonly PlacedMark[], rules: readonly HandledRule[]): Point[] {
  return [
    ...marks.flatMap(({ mark, toSheet }) => placesOf(mark).map((place) => apply(toSheet, place))),
    ...rules.flatMap(({ handles, toSheet }) => handles.map(({ at }) => apply(toSheet, at))),
  ];
}

function placesOf(mark: PlacedMark["mark"]): Point[] {
  switch (mark.kind) {
    case "pivot":
      return [mark.at];
    case "radius":
      return [polar(mark.radii.x, mark.start)];
    case "direction":
      return [polar(mark.reach, mark.degrees, mark.centre)];
    case "count":
      return [placeOfCount(mark)];
    case "vectors":
      return [mark.a, mark.b];
    case "second": {
      const { pivot, tip, turn, scale, move } = mark;
      const foot = { x: pivot.x + move.x, y: pivot.y + move.y };
      const reach = { x: (tip.x - pivot.x) * scale.x, y: (tip.y - pivot.y) * scale.y };
      const direction = (Math.atan2(reach.x, -reach.y) * 180) / Math.PI + turn;
      return [foot, polar(Math.hypot(reach.x, reach.y), direction, foot)];
    }
    default:
      return [];
  }
}
