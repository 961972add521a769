/** One line of the table: what was measured, beside its yardstick from the same run. */
export interface Row {
  readonly what: string;
  readonly measured: number;
  readonly yardstick: number | null;
  readonly unit: string;
  /** The most `measured ÷ yardstick` may be, or `measured` itself where there is no yardstick. */
  readonly limit: number | null;
}

/** The middle of several measurements: a noisy machine shifts it least. */
export function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)] ?? NaN;
}

export function printTable(rows: readonly Row[]): void {
  const cells = rows.map(({ what, measured, yardstick, unit, limit }) => {
    const compared = yardstick === null ? measured : measured / yardstick;
    return [
      what,
      `${measured.toFixed(2)} ${unit}`,
      yardstick === null ? "" : `${yardstick.toFixed(2)} ${unit}`,
      yardstick === null ? "" : `${compared.toFixed(2)} ×`,
      limit === null ? "" : `≤ ${limit}${yardstick === null ? ` ${unit}` : " ×"}`,
      limit === null ? "" : compared <= limit ? "met" : "missed",
    ];
  });
  const table = [["measured", "", "yardstick", "ratio", "limit", ""], ...cells];
  const widths = table[0]?.map((_, column) => Math.max(...table.map((row) => row[column]?.length ?? 0))) ?? [];
  for (const row of table) console.log(row.map((cell, column) => cell.padEnd(widths[column] ?? 0)).join("  "));
}
