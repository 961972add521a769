import { colorsOfPaint, type Paint } from "../../finish/paint";
import { contrastBetween } from "../../palette/contrast";
import { madeParts } from "../../scene/made";
import { definePrintCheck } from "./definition";

/** Lines nearer than this to what they lie on are hardly seen. */
const LEAST = 2;

/** Whether lines that nothing fills stand out from the paper or the ground. */
export const lightLines = definePrintCheck({
  kind: "lightLines",
  check({ scene }) {
    const ground = scene.ground?.finish.fill;
    const [paper = "#FFFFFF"] = ground ? colorsIn(ground) : [];
    const lines = madeParts(scene).flatMap(({ finish: { fill, line }, geometry: { placements } }) => {
      if (!line || fill) return [];
      const least = Math.min(...colorsIn(line.paint).map((color) => contrastBetween(color, paper)));
      return Number.isFinite(least)
        ? [{ least, at: { x: placements.matrices[4] ?? 0, y: placements.matrices[5] ?? 0 } }]
        : [];
    });
    const light = lines.filter(({ least }) => least < LEAST);
    return {
      state: light.length > 0 ? "doubtful" : "passed",
      figures: { count: light.length, contrast: Math.min(21, ...lines.map(({ least }) => least)), least: LEAST },
      places: light.map(({ at }) => at),
    };
  },
});

function colorsIn(paint: Paint): readonly string[] {
  return paint.kind === "each" ? paint.paints.flatMap((own) => (own ? colorsOfPaint(own) : [])) : colorsOfPaint(paint);
}
