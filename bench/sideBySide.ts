import { median } from "./median";

/** Timed rounds, unless others are asked for. */
export const ROUNDS = 41;
/** Rounds before them. */
export const WARM_UP = 60;

/** Times two pieces of work turn by turn, so that what disturbs one disturbs the other. */
export function sideBySide(
  work: () => unknown,
  yardstick: () => unknown,
  rounds = ROUNDS,
  warmUp = WARM_UP,
): [number, number] {
  const times: [number[], number[]] = [[], []];
  // Both are run in before they are timed: the first rounds measure the compiler.
  for (let round = 0; round < warmUp; round++) [work, yardstick].forEach((run) => run());
  for (let round = 0; round < rounds; round++) {
    [work, yardstick].forEach((run, index) => {
      const began = performance.now();
      run();
      times[index]?.push(performance.now() - began);
    });
  }
  return [median(times[0]), median(times[1])];
}
