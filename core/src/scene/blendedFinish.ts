import type { ResolvedPart } from "../design/resolved";
import type { Paint } from "../finish/paint";
import type { ResolvedFinish } from "../finish/finishFields";
import type { PartScene } from "./scene";

/**
 * A part's finish; where a rule leads to another part's shape and both are flatly painted, colours go over from
 * the one to the other along the copies.
 */
export function blendedFinish(
  { finish, rules }: ResolvedPart,
  partOf: (id: string) => PartScene | undefined,
): ResolvedFinish {
  const other = rules.flatMap(({ prepared }) => prepared.paintFrom).map((id) => partOf(id)?.finish)[0];
  if (!other) return finish;
  const fill = finish.fill && other.fill ? over(finish.fill, other.fill) : finish.fill;
  const line =
    finish.line && other.line ? { ...finish.line, paint: over(finish.line.paint, other.line.paint) } : finish.line;
  return { ...finish, fill, line };
}

function over(from: Paint, to: Paint): Paint {
  if (from.kind !== "flat" || to.kind !== "flat" || from.color === to.color) return from;
  const stops = [
    { at: 0, color: from.color },
    { at: 1, color: to.color },
  ];
  return { kind: "ramp", stops, by: "paint" };
}
