import { designForSolids, makeBodies, SolidLayouter, type Design, type SolidLayout, type SolidModel } from "../src";
import { buildScene } from "../src/scene/sceneBuilder";

/** A design's copies in space. */
export function layoutOf(design: Design, tolerance = 0.01): SolidLayout {
  return new SolidLayouter().layOut(design, buildScene(designForSolids(design)), tolerance);
}

/** A design's solids, united and cut. */
export function modelOf(design: Design, tolerance = 0.01): Promise<SolidModel> {
  return makeBodies(layoutOf(design, tolerance), () => Promise.resolve());
}
