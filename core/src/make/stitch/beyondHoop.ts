import { decimals } from "../../geometry/decimals";
import { hoop } from "../../stitch/checks/hoop";
import { toldOfStitches } from "../../stitch/told";
import type { StitchSubject } from "../format";

/** Says how far the needle would leave its hoop; nothing where it stays within. */
export function beyondHoop({ plan }: StitchSubject): string[] {
  const { state, figures } = hoop.check({ plan, told: toldOfStitches(plan) });
  if (state === "passed") return [];
  const { width, height } = plan.settings.frame;
  return [
    `the stitches reach ${decimals(figures.beyond, 2)} mm beyond the hoop of ${decimals(width, 2)} × ${decimals(height, 2)} mm; choose a larger hoop, or a smaller scale`,
  ];
}
