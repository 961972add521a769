import { amount } from "./amount";
import { closed } from "./closed";
import { fits } from "./fits";
import { holes } from "./holes";
import { overhangs } from "./overhangs";
import { pieces } from "./pieces";
import { rests } from "./rests";
import { touching } from "./touching";
import { walls } from "./walls";

/** Everything that is looked at before a solid is made, in order. */
export const SOLID_CHECKS = [closed, pieces, touching, holes, rests, fits, walls, overhangs, amount] as const;

/** The name of a check. */
export type SolidCheckKind = (typeof SOLID_CHECKS)[number]["kind"];
