import type { Manifold } from "manifold-3d";
import type { SpaceMatrix } from "../geometry/space";

/** A solid carried by a map; whoever asks for it deletes it. */
export function moved(solid: Manifold, [a, b, c, d, e, f, g, h, i, x, y, z]: SpaceMatrix): Manifold {
  return solid.transform([a, b, c, 0, d, e, f, 0, g, h, i, 0, x, y, z, 1]);
}
