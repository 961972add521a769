import type { AtHand, NumberAtHand } from "@/store/atHand";

/** A value that is shown as a picture. */
export interface Neighbour {
  readonly key: string;
  readonly words: string;
  readonly current: boolean;
  /** Sets it, through the desk's `edit`. */
  take: () => void;
}

/** So many nearby values, the present one in the middle; values past its limits are left out. */
export function neighboursOf(atHand: AtHand, count: number, step: number): Neighbour[] {
  if (atHand.kind === "choice") {
    return atHand.choices.map(({ value, words }) => ({
      key: value,
      words,
      current: value === atHand.value,
      take: () => atHand.set(value),
    }));
  }
  return valuesAround(atHand, count, step).map((value) => ({
    key: String(value),
    words: atHand.show(value),
    current: value === atHand.value,
    take: () => atHand.set(value),
  }));
}

export function valuesAround({ value, min, max, whole }: NumberAtHand, count: number, step: number): number[] {
  const half = Math.floor(count / 2);
  const values = Array.from({ length: 2 * half + 1 }, (_, k) => {
    const next = value + (k - half) * step;
    return k === half ? value : Number((whole ? Math.round(next) : next).toFixed(6));
  });
  return values.filter((next, index) => next >= min && next <= max && values.indexOf(next) === index);
}

/** A step that shows: a tenth of the value where a single step would hardly be seen. */
export function stepFor({ value, step, whole }: NumberAtHand): number {
  const tenth = Math.abs(value) / 10;
  if (tenth <= step) return step;
  const tidy = Number(tenth.toPrecision(1));
  return whole ? Math.max(1, Math.round(tidy)) : tidy;
}
