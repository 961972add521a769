import type { SpacePoint } from "../../geometry/space";
import { defineCheck, MOST_PLACES } from "./definition";
import { facesOf } from "../../form/faces";

/** Faces that are looked through at most: of more every second, third … one. */
const MOST_LOOKED = 3_000;
/** A look begins so far within the face it looks from, millimetres. */
const WITHIN = 1e-3;

/** Walls thinner than a length: from the middle of faces straight in, the way to the other side is measured. */
export const walls = defineCheck({
  kind: "walls",
  check({ whole, rays, making: { thinnest } }) {
    const every = Math.max(1, Math.ceil(whole.triangles.length / 3 / MOST_LOOKED));
    const thin: { place: SpacePoint; way: number }[] = [];
    let index = 0;
    for (const { middle, normal } of facesOf(whole)) {
      if (index++ % every !== 0) continue;
      const inward = (way: number): SpacePoint => ({
        x: middle.x - normal.x * way,
        y: middle.y - normal.y * way,
        z: middle.z - normal.z * way,
      });
      const reach = rays.reach(inward(WITHIN), inward(thinnest));
      if (reach !== null) thin.push({ place: middle, way: WITHIN + reach });
    }
    thin.sort((a, b) => a.way - b.way);
    return {
      state: thin.length === 0 ? "passed" : "doubtful",
      figures: { thinnest: thin[0]?.way ?? 0, limit: thinnest, places: thin.length },
      places: thin.slice(0, MOST_PLACES).map(({ place }) => place),
    };
  },
});
