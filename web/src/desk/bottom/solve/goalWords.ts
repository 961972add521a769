import { GOALS } from "@twin-petal/core";

interface GoalWords {
  /** As it is offered. */
  readonly offer: string;
  /** Before and behind what is asked for, after the word until. */
  readonly before: string;
  readonly after: string;
  /** What the figure asked for is called; empty where nothing is asked for. */
  readonly figure: string;
}

/** Everything a number can be set for, in words. */
const WORDS: Readonly<Record<string, GoalWords>> = {
  gap: {
    offer: "until copies touch, or stand a length apart",
    before: "the least gap is",
    after: "",
    figure: "least gap",
  },
  closes: { offer: "until the copies close the circle", before: "the copies close the circle", after: "", figure: "" },
  width: { offer: "until the part is so wide", before: "the part is", after: "wide", figure: "width of the part" },
  height: { offer: "until the part is so high", before: "the part is", after: "high", figure: "height of the part" },
  margin: {
    offer: "until so much is left to the edge",
    before: "",
    after: "is left to the sheet’s edge",
    figure: "margin",
  },
  share: {
    offer: "until it covers a share of the sheet",
    before: "it covers",
    after: "of the sheet",
    figure: "share of the sheet",
  },
};

/** A goal's words; throws for one that has none. */
export function goalWords(kind: string): GoalWords {
  const words = WORDS[kind];
  if (!words) throw new Error(`the goal ${kind} has no words`);
  return words;
}

/** All that is offered, in order. */
export const OFFERED = GOALS.map((goal) => ({ goal, words: goalWords(goal.kind) }));
