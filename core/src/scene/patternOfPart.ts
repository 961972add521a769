import type { DrawnPart } from "./partDrawing";
import type { ResolvedPart } from "../design/resolved";
import { reachOfEffects } from "../finish/effects/effects";
import { growBox } from "../geometry/box";
import { reachOfLine } from "../geometry/strip/lineShape";
import { joinOf } from "../join/list";
import { composeRules, type Composition } from "../rules/compose";
import { MATRIX_STRIDE } from "../rules/placements";
import { geometryOf, type Around } from "./partGeometry";
import { endlessOf, endlessPaint, laidOver, periodOf, seamOf, shiftsOf } from "./pattern";
import type { PartScene, Pattern } from "./scene";

type Shown = Omit<PartScene, "pattern">;

/** A part as a pattern without end; or why it is none, in words that follow its name. */
export function patternOf(
  part: ResolvedPart,
  drawing: DrawnPart,
  composed: Composition,
  shown: Shown,
  around: Around,
): Pattern | string {
  const endless = endlessOf(part, composed);
  if (typeof endless === "string") return endless;
  const seam = seamOf(part);
  if (seam !== null) return seam;
  const { fill, line } = part.finish;
  const shifts = [fill, line?.paint ?? null].map((paint) => shiftsOf(paint, endless, composed.placements));
  const trouble = shifts.find((shift) => typeof shift === "string");
  if (trouble !== undefined) return trouble;
  const period = periodOf(
    endless,
    shifts.flatMap((shift) => (typeof shift === "string" ? [] : shift)),
  );
  if (typeof period === "string") return period;
  const own = composed.groups.get(endless.rule)?.box();
  const counted = (composed.transforms.get(endless.rule)?.matrices.length ?? 0) / MATRIX_STRIDE;
  const pattern: Pattern = {
    ...period,
    over(box) {
      if (!own) return { ...shown, pattern: () => pattern };
      const reach = reachOfEffects(part.finish.effects) + (line ? reachOfLine(line) : 0);
      const laid = laidOver(endless, growBox(box, reach), own);
      const given = new Map(composed.transforms).set(endless.rule, laid.transforms);
      const whole = composeRules(part.rules, drawing, part.at, around.ofPart, { given, foot: drawing.foot });
      const unlimited = { ...part, join: { ...part.join, inside: null } };
      const geometry = geometryOf(unlimited, drawing, whole, around);
      // What is joined into one has one paint; what are still copies take their turns.
      const areCopies = geometry.placements.spans.length > 0;
      const turning = (paint: typeof fill) =>
        areCopies ? endlessPaint(paint, endless, composed.placements, geometry.placements, laid, counted) : paint;
      const finish = {
        ...shown.finish,
        fill: joinOf(part.join.mode).fill(part.join, turning(fill), geometry),
        line: line && { ...line, paint: turning(line.paint) ?? line.paint },
      };
      return { ...shown, geometry, finish, pattern: () => pattern };
    },
  };
  return pattern;
}
