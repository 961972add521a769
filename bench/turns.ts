import type { Group } from "./group";
import { ratioOf, type Row } from "./row";

/** A group's rows, each from the middle one of several turns: what a shared machine does to one turn is not told. */
export async function inTurns({ measure }: Group, turns: number): Promise<Row[]> {
  const all: Row[][] = [];
  for (let turn = 0; turn < turns; turn++) all.push(await measure());
  const [first = []] = all;
  return first.map((row, place) => {
    const same = all.map((rows) => rows[place] ?? row).sort((a, b) => ratioOf(a) - ratioOf(b));
    return same[Math.floor(same.length / 2)] ?? row;
  });
}
