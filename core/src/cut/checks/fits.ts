import { boxOfPath } from "../../geometry/path";
import { defineCutCheck } from "./definition";

/** Whether the head stays within the frame. */
export const fits = defineCutCheck({
  kind: "fits",
  check({ strokes, settings: { frame } }) {
    const box = boxOfPath(strokes.flatMap(({ runs }) => runs));
    if (box.left > box.right) return { state: "passed", figures: { width: 0, height: 0, beyond: 0 }, places: [] };
    const [halfWidth, halfHeight] = [frame.width / 2, frame.height / 2];
    const beyond = Math.max(
      0,
      -halfWidth - box.left,
      box.right - halfWidth,
      -halfHeight - box.top,
      box.bottom - halfHeight,
    );
    const isWithin = beyond <= 1e-6;
    const corner = {
      x: box.right - halfWidth > -halfWidth - box.left ? box.right : box.left,
      y: box.bottom - halfHeight > -halfHeight - box.top ? box.bottom : box.top,
    };
    return {
      state: isWithin ? "passed" : "failed",
      figures: { width: box.right - box.left, height: box.bottom - box.top, beyond },
      places: isWithin ? [] : [corner],
    };
  },
});
