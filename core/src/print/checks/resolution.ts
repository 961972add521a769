import { dpiWithin } from "../../finish/dpiWithin";
import { hasEffects } from "../../finish/effects/effects";
import { isPictured } from "../../finish/paint";
import { madeLayers } from "../../scene/made";
import { definePrintCheck } from "./definition";

/** Pictures of fewer dots an inch look coarse on paper. */
const FEWEST = 150;
/** Dots an inch of the sheet that pictures within files have. */
const WITHIN = 300;

/** Whether what is printed as pictures, which are shadows, grain and the like, has dots enough at its size. */
export const resolution = definePrintCheck({
  kind: "resolution",
  check({ scene, settings: { scale } }) {
    const pictured = madeLayers(scene).filter(
      ({ finish: { effects, fill } }) => hasEffects(effects) || (fill !== null && isPictured(fill)),
    );
    const dots = dpiWithin(scene.sheet, WITHIN) / scale;
    return {
      state: pictured.length > 0 && dots < FEWEST ? "doubtful" : "passed",
      figures: { count: pictured.length, dots, fewest: FEWEST },
      places: [],
    };
  },
});
