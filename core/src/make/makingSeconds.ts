import { MOST_MAKING_SECONDS } from "../fields/most";
import { TooMuchEffort, withEffort } from "../geometry/effort";
import { drawnSizeOfScene, type DrawnSize } from "../scene/drawnSize";
import { inWords } from "../scene/tooMuch";
import type { FormatTraits, MakeOptions } from "./format";
import type { Subject } from "./subject";

/** What each copy, side, side of an outline, and dot or dash takes in a format, seconds on a usual machine. */
export type SecondsEach = Readonly<Partial<Record<keyof DrawnSize, number>>>;

/** What so much takes in all. */
export function secondsFor(drawn: DrawnSize, { copies = 0, sides = 0, outlines = 0, dots = 0 }: SecondsEach): number {
  return drawn.copies * copies + drawn.sides * sides + drawn.outlines * outlines + drawn.dots * dots;
}

/** Why a file would take too long, in words; null where it does not. Worked out from how much there is to draw, before it is. */
export function tooLong<S extends Subject>(subject: S, format: FormatTraits<S>, asked: MakeOptions): string | null {
  if (!format.seconds) return null;
  const drawn = drawnSizeOfScene(subject.scene);
  const seconds = format.seconds(drawn, subject, asked);
  return seconds > MOST_MAKING_SECONDS ? refusalOf(seconds, drawn) : null;
}

/** Plans what a machine does, for as long as a file may take; else why not. */
export function plannedInTime<P>(subject: Subject, plan: () => P): { readonly plan: P } | { readonly refusal: string } {
  try {
    return { plan: withEffort(MOST_MAKING_SECONDS, plan).result };
  } catch (error) {
    if (!(error instanceof TooMuchEffort)) throw error;
    return { refusal: refusalOf(error.seconds, drawnSizeOfScene(subject.scene)) };
  }
}

function refusalOf(seconds: number, { copies, sides, dots }: DrawnSize): string {
  const counts = [
    [copies, "copies"],
    [sides, "sides"],
    [dots, "dots and dashes"],
  ] as const;
  const many = counts.flatMap(([count, name]) =>
    count > 0 ? [`${Math.round(count).toLocaleString("en")} ${name}`] : [],
  );
  return (
    `it would take about ${inWords(seconds)} or more, for there are ${many.join(", ")}; a file may take ${MOST_MAKING_SECONDS} seconds: ` +
    `lower a count, make the motif simpler, or take another format`
  );
}
