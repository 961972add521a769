import type { Goal } from "../definition";
import { closes } from "./closes";
import { gap } from "./gap";
import { height } from "./height";
import { margin } from "./margin";
import { share } from "./share";
import { width } from "./width";

/** Everything a number can be set for, in the order it is offered. */
export const GOALS: readonly Goal[] = [gap, closes, width, height, margin, share];

/** A goal by its name. */
export function goalOf(kind: string): Goal | undefined {
  return GOALS.find((goal) => goal.kind === kind);
}
