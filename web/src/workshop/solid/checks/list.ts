import { amount } from "./amount";
import { closed } from "./closed";
import type { SolidCheckLabel } from "./definition";
import { fits } from "./fits";
import { holes } from "./holes";
import { overhangs } from "./overhangs";
import { pieces } from "./pieces";
import { rests } from "./rests";
import { touching } from "./touching";
import { walls } from "./walls";

/** How every check of solids is told, in order. */
export const SOLID_CHECK_LABELS: readonly SolidCheckLabel[] = [
  closed,
  pieces,
  touching,
  holes,
  rests,
  fits,
  walls,
  overhangs,
  amount,
];
