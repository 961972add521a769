import type { Goal } from "../definition";
import { closes } from "./closes";
import { height, width } from "./extent";
import { gap } from "./gap";
import { margin } from "./margin";
import { share } from "./share";

/** Everything a number can be set for, in the order it is offered. */
export const GOALS: readonly Goal[] = [gap, closes, width, height, margin, share];

/** A goal by its name. */
export function goalOf(kind: string): Goal | undefined {
  return GOALS.find((goal) => goal.kind === kind);
}
