import type { Measurements } from "./measurements";
import { ratioOf, type Row } from "./row";
import { printTable } from "./table";

/** A row may be so many times what stands before it is told to be worse: machines that are shared do as much by themselves. */
const WORSE = 1.15;

/** Prints rows beside what stands, and says which are worse; answers how many. */
export function tellAgainst(name: string, rows: readonly Row[], measurements: Measurements): number {
  const before = new Map(measurements[name]?.rows.map((row) => [row.what, row.ratio]));
  const told = rows.map((row) => {
    const [ratio, stood] = [ratioOf(row), before.get(row.what)];
    const unit = row.yardstick === null ? row.unit : "×";
    const isWorse = stood !== undefined && ratio > stood * WORSE;
    return { isWorse, cells: [row.what, `${ratio.toFixed(2)} ${unit}`, stoodIn(stood, unit), isWorse ? "WORSE" : ""] };
  });
  console.log(`\n${name}`);
  printTable([["measured", "now", "stood", ""], ...told.map(({ cells }) => cells)]);
  return told.filter(({ isWorse }) => isWorse).length;
}

const stoodIn = (stood: number | undefined, unit: string) =>
  stood === undefined ? "new" : `${stood.toFixed(2)} ${unit}`;
