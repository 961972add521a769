import { ratioOf, type Row } from "./row";

export const HEADS = ["measured", "", "yardstick", "ratio", "limit", ""] as const;

/** A row in words. */
export function cellsOf(row: Row): string[] {
  const { what, measured, yardstick, unit, limit } = row;
  const ratio = ratioOf(row);
  return [
    what,
    `${measured.toFixed(2)} ${unit}`,
    yardstick === null ? "" : `${yardstick.toFixed(2)} ${unit}`,
    yardstick === null ? "" : `${ratio.toFixed(2)} ×`,
    limit === null ? "" : `≤ ${limit}${yardstick === null ? ` ${unit}` : " ×"}`,
    limit === null ? "" : ratio <= limit ? "met" : "missed",
  ];
}

/** Prints cells in columns as wide as their widest. */
export function printTable(rows: readonly (readonly string[])[]): void {
  const widths = rows[0]?.map((_, column) => Math.max(...rows.map((row) => row[column]?.length ?? 0))) ?? [];
  for (const row of rows) console.log(row.map((cell, column) => cell.padEnd(widths[column] ?? 0)).join("  "));
}
