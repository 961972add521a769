import { reachOfLine } from "../../geometry/strip/lineShape";
import { boxOfGeometry } from "../../scene/boxOfGeometry";
import { madeParts } from "../../scene/made";
import { definePrintCheck } from "./definition";

/** How far a part may cross the sheet's edge unnoticed, millimetres. */
const UNSEEN = 0.01;

/** Whether parts reach beyond the sheet, and the bleed if there is one: what does is cut off. */
export const cutOff = definePrintCheck({
  kind: "cutOff",
  check({ scene, settings: { bleed, scale } }) {
    const [x, y] = [scene.sheet.width / 2, scene.sheet.height / 2];
    const crossing = madeParts(scene).flatMap(({ geometry, finish }) => {
      const { left, top, right, bottom } = boxOfGeometry(geometry);
      if (left > right) return [];
      const reach = finish.line ? reachOfLine(finish.line) : 0;
      const beyond = Math.max(-x - left, right - x, -y - top, bottom - y) + reach;
      if (beyond <= UNSEEN) return [];
      const place = { x: right - x > -x - left ? Math.min(right, x) : Math.max(left, -x), y: (top + bottom) / 2 };
      return [{ beyond: beyond * scale, place }];
    });
    const most = crossing.reduce((sum, { beyond }) => Math.max(sum, beyond), 0);
    return {
      state: most <= bleed + UNSEEN && (most === 0 || bleed > 0) ? "passed" : "doubtful",
      figures: { count: crossing.length, beyond: most, bleed },
      places: crossing.map(({ place }) => place),
    };
  },
});
