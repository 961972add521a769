import type { SpaceBox } from "@twin-petal/core";
import { standpoint, type Side } from "./outlooks";

/** What turns the view from outside: a side to go to, or degrees to turn by. `asked` tells one wish from the next. */
export type Wish = { readonly asked: number } & (
  | { readonly side: Side }
  | { readonly around: number; readonly above: number }
  | { readonly closer: number }
  | { readonly at: readonly [number, number, number] }
);

/** A place in space, millimetres. */
export type Triple = readonly [number, number, number];

/** Where the eye stands and what it looks at. */
export interface Look {
  readonly from: Triple;
  readonly to: Triple;
}

/** The steepest the eye looks down or up, degrees: straight down it would not know which way is up. */
const STEEPEST = 89.99;

/** Where a wish moves the eye. */
export function lookMoved({ from, to }: Look, wish: Wish, box: SpaceBox): Look {
  if ("side" in wish) return standpoint(box, wish.side);
  const off: Triple = [from[0] - to[0], from[1] - to[1], from[2] - to[2]];
  if ("closer" in wish) return { to, from: plus(to, off, 1 / wish.closer) };
  if ("at" in wish) return { to: wish.at, from: plus(wish.at, off, 1) };
  const away = Math.hypot(...off);
  const around = (Math.atan2(off[0], -off[1]) * 180) / Math.PI + wish.around;
  const above = (Math.asin(off[2] / away) * 180) / Math.PI + wish.above;
  const [a, e] = [around, Math.min(STEEPEST, Math.max(-STEEPEST, above))].map((angle) => (angle * Math.PI) / 180);
  const [sin, cos] = [Math.sin(a ?? 0), Math.cos(a ?? 0)];
  const level = away * Math.cos(e ?? 0);
  return { to, from: plus(to, [level * sin, -level * cos, away * Math.sin(e ?? 0)], 1) };
}

function plus([x, y, z]: Triple, [dx, dy, dz]: Triple, times: number): Triple {
  return [x + dx * times, y + dy * times, z + dz * times];
}
