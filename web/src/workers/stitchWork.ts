import {
  buildScene,
  checkStitches,
  densityOf,
  loadGeometryEngine,
  partSewnAt,
  planStitches,
  prepareFor,
  problemLine,
  toldOfStitches,
  type DensityMap,
  type Design,
  type Point,
  type StitchChecked,
  type StitchesTold,
  type StitchPlan,
} from "@twin-petal/core";
import { WEB_HOST } from "./webHost";

/** What a sewing comes to. */
export interface ShownStitches {
  readonly plan: StitchPlan;
  readonly told: StitchesTold;
  readonly checks: readonly StitchChecked[];
  readonly density: DensityMap;
}

/** Computes stitches in a worker of their own. */
export class StitchWork {
  private plan: StitchPlan | null = null;

  /** Everything about the sewing of a design; rejects in words. `onShare` hears how much of it is planned, 0…1. */
  async stitch(design: Design, onShare: (share: number) => void): Promise<ShownStitches> {
    await Promise.all([prepareFor(design, WEB_HOST), loadGeometryEngine(WEB_HOST.geometryEngine)]);
    const scene = buildScene(design);
    const [problem] = scene.problems;
    if (problem) throw new Error(problemLine(problem));
    let told = 0;
    const plan = planStitches(scene, (share) => {
      // A message for each per cent is enough.
      if (share - told >= 0.01) onShare((told = share));
      return true;
    });
    this.plan = plan;
    return { plan, told: toldOfStitches(plan), checks: checkStitches(plan), density: densityOf(plan) };
  }

  /** The part that was sewn most about a place, in what was computed last. */
  partAt(place: Point): string | null {
    return this.plan && partSewnAt(this.plan, place);
  }
}
