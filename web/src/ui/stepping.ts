interface Modifiers {
  readonly shiftKey: boolean;
  readonly altKey: boolean;
}

/** Shift takes ten steps at a time, Alt a tenth of one. */
export function coarseness({ shiftKey, altKey }: Modifiers): { times: number; fineness: number } {
  if (shiftKey) return { times: 10, fineness: 1 };
  if (altKey) return { times: 0.1, fineness: 0.1 };
  return { times: 1, fineness: 1 };
}

/** A value brought to a whole number of steps, or of fine steps; without the dust of binary fractions. */
export function quantised(value: number, step: number, fineness: number, whole: boolean): number {
  const grain = whole ? Math.max(1, Math.round(step * fineness)) : step * Math.min(1, fineness);
  return Number((Math.round(value / grain) * grain).toFixed(6));
}
