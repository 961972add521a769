import type { ResolvedPart } from "../design/resolved";
import { MOST_DRAWN, MOST_SECONDS } from "../fields/most";
import { Incomputable } from "../formula/incomputable";
import { TooMuchEffort } from "../geometry/effort";
import { EngineEnded } from "../engines/engineEnded";
import { isTooLarge } from "../engines/tooLarge";
import { joinOf } from "../join/list";
import type { Composition } from "../rules/compose";
import { mostCopying } from "../rules/mostCopying";
import { drawnSizeOf } from "./drawnSize";

/** Where in the part something stands that it cannot be computed for, and why; anything else is thrown on. */
export function troubleOf(error: unknown, part: ResolvedPart): Pick<Incomputable, "field" | "message"> {
  if (error instanceof Incomputable) return error;
  const words = tooMuchInWords(error);
  if (words === null) throw error;
  return {
    field: drivingField(part),
    message: `${words}: lower this, set copies further apart, or make the motif simpler`,
  };
}

/** That something is too much for the time there is, for the engine, or for memory, in words; null for any other error. */
function tooMuchInWords(error: unknown): string | null {
  if (error instanceof EngineEnded) return error.message;
  if (isTooLarge(error)) return "comes to more than memory has room for";
  if (!(error instanceof TooMuchEffort)) return null;
  const takes = `takes about ${inWords(error.seconds)} or more to compute, for its outlines cross so often or have so many nodes`;
  return `${takes}; there are ${MOST_SECONDS} seconds for a design`;
}

/** What makes a part so much: the rule that makes most copies, or how they are joined, or the motif. */
function drivingField({ rules, join: { mode, cutBy, inside, offset } }: ResolvedPart): string {
  const isJoined = !joinOf(mode).leavesCopies || cutBy.length > 0 || inside !== null || offset !== null;
  return mostCopying(rules) ?? (isJoined ? "join" : "motif");
}

/** How much there is to draw of a part's copies; lines of one width all over are as long as their copies are. */
export function drawnOf({ finish }: ResolvedPart, composed: Composition): number {
  const { sides, dots } = drawnSizeOf(composed, finish.line);
  return sides + dots;
}

/** Why so much is not drawn, at the field that makes it so much. */
export function tooMuchDrawn({ rules }: ResolvedPart, drawn: number): Incomputable {
  const [many, most] = [drawn, MOST_DRAWN].map((count) => Math.round(count).toLocaleString("en"));
  const words = `comes to ${many} sides, dots and dashes; a design has at most ${most}: lower this, or make the motif or its line simpler`;
  return new Incomputable(mostCopying(rules) ?? "motif", words);
}

/** A time in words. */
export function inWords(seconds: number): string {
  return seconds < 120 ? `${Math.ceil(seconds)} seconds` : `${Math.round(seconds / 60).toLocaleString("en")} minutes`;
}
