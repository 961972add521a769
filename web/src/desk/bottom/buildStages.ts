/** A rule that is on, and how often it repeats. */
export interface Round {
  readonly kind: string;
  readonly copies: number;
}

/** A state of the build-up in which a rule has just been applied whole to the first of everything after it. */
interface BuildStage {
  readonly words: string;
  readonly copies: number;
}

/** The source, then after each rule in order; copies left out as doubled make the last one end sooner. */
export function buildStages(rounds: readonly Round[], count: number): BuildStage[] {
  const stages: BuildStage[] = [{ words: "the source", copies: 1 }];
  let product = 1;
  for (const { kind, copies } of rounds) {
    product *= copies;
    stages.push({ words: `after the ${kind}`, copies: Math.min(count, product) });
  }
  return stages;
}

/** "17 of 96 · ring 3 of 12 · turn 1 of 8": the rule applied last first, each at its own count. */
export function stageWords(rounds: readonly Round[], shown: number, count: number): string {
  let rest = Math.max(0, shown - 1);
  const words = rounds.map(({ kind, copies }) => {
    const at = rest % copies;
    rest = Math.floor(rest / copies);
    return `${kind} ${at + 1} of ${copies}`;
  });
  return [`copy ${shown.toLocaleString("en")} of ${count.toLocaleString("en")}`, ...words.toReversed()].join(" · ");
}
