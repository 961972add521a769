import Flatbush from "flatbush";

import { Covered } from "./covered";
import type { Unit } from "./units";

/** What is sewn with one thread before the next is taken. */
export interface ThreadBlock {
  /** The colour of the thread. */
  readonly thread: string;
  /** What is sewn, in order. */
  readonly units: readonly Unit[];
}

/**
 * What is sewn in blocks of one thread each: from below to above, but what lies over nothing that is still to come is taken
 * forward while its thread is in the machine. Where parts are named, they come in that order, with no thread kept for it.
 */
export function threadBlocks(units: readonly Unit[], byHand: readonly string[]): ThreadBlock[] {
  if (byHand.length > 0) return blocksOf(inOrderOf(units, byHand));
  if (new Set(units.map(({ thread }) => thread)).size < 2) return blocksOf(units);
  return blocksOf(threadsTogether(units));
}

function inOrderOf(units: readonly Unit[], parts: readonly string[]): Unit[] {
  const place = (part: string) => (parts.includes(part) ? parts.indexOf(part) : parts.length);
  return [...units].sort((a, b) => place(a.part) - place(b.part));
}

function blocksOf(units: readonly Unit[]): ThreadBlock[] {
  const blocks: { thread: string; units: Unit[] }[] = [];
  for (const unit of units) {
    const last = blocks.at(-1);
    if (last?.thread === unit.thread) last.units.push(unit);
    else blocks.push({ thread: unit.thread, units: [unit] });
  }
  return blocks;
}

/** In the order given, but with one thread for as long as nothing that must come before is left. */
function threadsTogether(units: readonly Unit[]): Unit[] {
  const { after, waiting } = lyingOver(units);
  const left = new Set(units.keys());
  const sewn: Unit[] = [];
  const free = () => [...left].filter((number) => waiting[number] === 0);
  while (left.size > 0) {
    const ready = free();
    const thread = sewn.at(-1)?.thread;
    const next = ready.filter((number) => units[number]?.thread === thread);
    // What becomes free while one thread is sewn may be sewn with it, too.
    for (const number of next.length > 0 ? next : ready.slice(0, 1)) {
      const unit = units[number];
      if (unit) sewn.push(unit);
      left.delete(number);
      for (const over of after[number] ?? []) waiting[over] = (waiting[over] ?? 0) - 1;
    }
  }
  return sewn;
}

/** For each unit which lie over it, and over how many each lies. */
function lyingOver(units: readonly Unit[]): { readonly after: number[][]; readonly waiting: number[] } {
  const covered = units.map((unit) => new Covered(unit));
  const index = new Flatbush(units.length);
  for (const { box } of covered) index.add(box.left, box.top, box.right, box.bottom);
  index.finish();
  const after = units.map((): number[] => []);
  const waiting = units.map(() => 0);
  covered.forEach((own, upper) => {
    const { left, top, right, bottom } = own.box;
    for (const lower of index.search(left, top, right, bottom, (number) => number < upper)) {
      if (!isSameCopy(units[lower], units[upper]) && !covered[lower]?.overlaps(own)) continue;
      after[lower]?.push(upper);
      waiting[upper] = (waiting[upper] ?? 0) + 1;
    }
  });
  return { after, waiting };
}

const isSameCopy = (a: Unit | undefined, b: Unit | undefined) =>
  a?.part === b?.part && a?.member === b?.member && a?.copy === b?.copy;
