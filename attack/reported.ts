import type { Tried } from "./tried";

/** A line of the table, and what was wrong in all its trials. */
export interface Reported {
  readonly what: string;
  readonly cells: readonly string[];
  readonly faults: readonly string[];
}

/** Trials as a line of the table; `isAsExpected` tells of each whether it came out as it should. */
export function reported(
  what: string,
  trials: readonly Tried[],
  isAsExpected: (one: Tried) => boolean = ({ made, refusals }) => made || refusals.length > 0,
): Reported {
  const count = (is: (one: Tried) => boolean) => String(trials.filter(is).length);
  const slowest = trials.reduce((most, { seconds }) => Math.max(most, seconds || 0), 0);
  const slowestFile = trials.reduce((most, { fileSeconds }) => Math.max(most, fileSeconds || 0), 0);
  const largest = trials.reduce((most, { megabytes }) => Math.max(most, megabytes || 0), 0);
  const faults = trials.flatMap((one) => {
    const odd = isAsExpected(one) || one.faults.length > 0 ? [] : [`not as expected: ${one.refusals.join("; ")}`];
    return [...one.faults, ...odd].map((fault) => `${one.name}: ${fault}`);
  });
  const cells = [
    String(trials.length),
    count(({ made }) => made),
    count(({ made, refusals }) => !made && refusals.length > 0),
    String(faults.length),
    `${slowest.toFixed(1)} s`,
    `${slowestFile.toFixed(1)} s`,
    `${largest.toFixed(0)} MB`,
  ];
  return { what, cells, faults };
}

const HEAD = ["", "tried", "made", "refused", "faults", "longest", "longest file", "largest"];

/** Prints lines as a table, and below it what was wrong. */
export function printReport(lines: readonly Reported[]): void {
  const rows = [HEAD, ...lines.map(({ what, cells }) => [what, ...cells])];
  const widths = HEAD.map((_, column) => Math.max(...rows.map((row) => row[column]?.length ?? 0)));
  for (const row of rows) console.log(row.map((cell, column) => cell.padEnd(widths[column] ?? 0)).join("  "));
  for (const fault of lines.flatMap(({ faults }) => faults)) console.log(`✗ ${fault}`);
}
