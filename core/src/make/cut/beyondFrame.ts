import { fits } from "../../cut/checks/fits";
import { decimals } from "../../geometry/decimals";
import type { CutSubject } from "../format";

/** Says how far the head would leave its frame; nothing where it stays within. */
export function beyondFrame({ plan }: CutSubject): string[] {
  const { state, figures } = fits.check(plan);
  if (state === "passed") return [];
  const { width, height } = plan.settings.frame;
  return [
    `the cut reaches ${decimals(figures.beyond, 2)} mm beyond the frame of ${decimals(width, 2)} × ${decimals(height, 2)} mm; make the frame larger, or the design smaller`,
  ];
}
