import type { ComponentType } from "react";
import { AlongSentence } from "./alongSentence";
import { BetweenSentence } from "./betweenSentence";
import { BorderSentence } from "./borderSentence";
import { GridSentence } from "./gridSentence";
import { ReflectSentence } from "./reflectSentence";
import { RingSentence } from "./ringSentence";
import { ScatterSentence } from "./scatterSentence";
import { SpiralSentence } from "./spiralSentence";
import { StepSentence } from "./stepSentence";
import { TurnSentence } from "./turnSentence";
import { VarySentence } from "./varySentence";

interface RuleLabels {
  /** What it does, in the list of rules to add. */
  readonly promise: string;
  readonly Sentence: ComponentType;
}

/** The words of every rule, by kind. */
export const RULE_LABELS: Readonly<Record<string, RuleLabels>> = {
  turn: { promise: "copies around a point, closing the circle", Sentence: TurnSentence },
  reflect: { promise: "a mirror image across a line", Sentence: ReflectSentence },
  step: { promise: "each copy turned, scaled and moved from the last", Sentence: StepSentence },
  spiral: { promise: "copies wound outwards, evenly, growing or as seeds", Sentence: SpiralSentence },
  grid: { promise: "copies in columns and rows, or a plane group", Sentence: GridSentence },
  border: { promise: "a frieze, level or along a line", Sentence: BorderSentence },
  along: { promise: "copies along another part’s line, bent to it if you like", Sentence: AlongSentence },
  scatter: { promise: "copies strewn by chance, never too near", Sentence: ScatterSentence },
  between: { promise: "shapes on the way to a second shape", Sentence: BetweenSentence },
  vary: { promise: "each copy changed by formulas", Sentence: VarySentence },
  ring: { promise: "copies set on a circle or an ellipse", Sentence: RingSentence },
};
