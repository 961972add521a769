/** One line of the table: what was measured, beside its yardstick from the same run. */
export interface Row {
  readonly what: string;
  readonly measured: number;
  readonly yardstick: number | null;
  readonly unit: string;
  /** The most `measured ÷ yardstick` may be, or `measured` itself where there is no yardstick. */
  readonly limit: number | null;
}

/** What rows are compared by: measured ÷ yardstick, or what was measured where there is no yardstick. */
export function ratioOf({ measured, yardstick }: Row): number {
  return yardstick === null ? measured : measured / yardstick;
}
