import { distance, ORIGIN, type Point } from "../geometry/point";
import type { Scene } from "../scene/scene";
import { courseOver } from "../thread/course";
import { runningPoints } from "../thread/lines/running";
import { Passages } from "./passages";
import { threadBlocks } from "./sequence";
import { MOVED, NEXT_THREAD, SewnThread, TRIMMED } from "./sewnThread";
import type { StitchPlan, StitchSettings } from "./stitchPlan";
import { unitsOf, type Unit } from "./units";
import { Waiting } from "./waiting";

/** Ends nearer than this are one place, millimetres. */
const SAME_PLACE = 0.1;
/** From needle point to needle point on the way to what is sewn next, millimetres. */
const PASSING = 2.5;

/**
 * How a scene is sewn: thread by thread; what hangs together in one run, gone on with from where the last piece ended, by
 * running stitches over small gaps and along what the thread sews anyway, and by a jump where there is no other way.
 * `listen` hears the share done, and ends it by answering false. The geometry engine must have been loaded.
 */
export function planStitches(scene: Scene, listen: (share: number) => boolean = () => true): StitchPlan {
  const settings = scene.making.stitch;
  const units = unitsOf(scene);
  const blocks = threadBlocks(units, settings.order);
  const sewn = new SewnThread(settings);
  const all = units.reduce((sum, { runs }) => sum + runs.length, 0);
  let done = 0;
  for (const [number, block] of blocks.entries()) {
    const passages = new Passages(block.units, settings.travel);
    let isNewThread = number > 0;
    for (const pieces of piecesByGroup(block.units, passages)) {
      const waiting = new Waiting(pieces.map(startOf), passages, settings.travel);
      for (let left = pieces.length; left > 0; left--) {
        const next = pieces[waiting.take(isNewThread ? null : sewn.last)];
        for (const run of next?.runs ?? []) {
          sewRun(sewn, run, { passages, settings, part: next?.part ?? "", isNewThread });
          isNewThread = false;
        }
        done += next?.runs.length ?? 0;
        if (!listen(done / all)) return finished(sewn, settings, blocks, units);
      }
    }
  }
  return finished(sewn, settings, blocks, units);
}

function finished(
  sewn: SewnThread,
  settings: StitchSettings,
  blocks: ReturnType<typeof threadBlocks>,
  units: readonly Unit[],
): StitchPlan {
  const threads = blocks.map(({ thread }) => ({ color: thread }));
  const fewestThreads = settings.order.length > 0 ? threadBlocks(units, []).length : threads.length;
  return { settings, threads, fewestThreads, ...sewn.end() };
}

/** Runs of one copy that can be gone on to from each other. */
interface Piece {
  readonly part: string;
  readonly copy: number;
  readonly runs: (readonly Point[])[];
}

/**
 * What of each part can be gone on to without a jump, together; parts and copies in the order given otherwise. One copy may
 * come in several pieces: letters of a word, parts of an area.
 */
function piecesByGroup(units: readonly Unit[], passages: Passages): (readonly Piece[])[] {
  const groups = new Map<number, Map<string, Piece[]>>();
  for (const { part, member, copy, runs } of units) {
    const made = `${part} ${member ?? ""}`;
    for (const run of runs) {
      const group = passages.groupAt(run[0] ?? ORIGIN);
      const parts = groups.get(group) ?? new Map<string, Piece[]>();
      groups.set(group, parts);
      const pieces = parts.get(made) ?? [];
      parts.set(made, pieces);
      const last = pieces.at(-1);
      if (last?.copy === copy) last.runs.push(run);
      else pieces.push({ part, copy, runs: [run] });
    }
  }
  return [...groups.values()].flatMap((parts) => [...parts.values()]);
}

function startOf({ runs }: Piece): Point {
  return runs[0]?.[0] ?? ORIGIN;
}

interface Surroundings {
  readonly passages: Passages;
  readonly settings: StitchSettings;
  readonly part: string;
  readonly isNewThread: boolean;
}

function sewRun(sewn: SewnThread, run: readonly Point[], around: Surroundings): void {
  const [start] = run;
  const { last } = sewn;
  if (!start) return;
  const { passages, settings, part, isNewThread } = around;
  if (isNewThread || !last) {
    sewn.begin(run, isNewThread ? NEXT_THREAD : MOVED, part);
    return;
  }
  const gap = distance(last, start);
  const way = gap <= SAME_PLACE ? [] : gap <= settings.travel ? [start] : passages.way(last, start);
  if (way) sewn.goOn([...passed(last, way), ...run], part);
  else sewn.begin(run, gap > settings.trim ? TRIMMED : MOVED, part);
}

/** Needle points along a way, without the first. */
function passed(from: Point, way: readonly Point[]): Point[] {
  if (way.length === 0) return [];
  const course = courseOver([from, ...way]);
  return course ? runningPoints(course, PASSING).slice(1) : [];
}
