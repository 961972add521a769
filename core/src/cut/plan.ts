import type { CutWay } from "../design/cutFields";
import { combine } from "../geometry/boolean/boolean";
import { reversePath, segmentsOf, type Path, type Subpath } from "../geometry/path";
import { measurePath } from "../geometry/pathLength";
import { distance, type Point } from "../geometry/point";
import type { Scene } from "../scene/scene";
import { bridgesOn, placesOnRuns, type Stretch } from "./bridges";
import { hatchOf } from "./hatch";
import { nestingOf } from "../geometry/nesting";
import { cutOf, lengthOf, outlinesOf, outlinesToCut, outlinesToFollow, partsAsCut, type CutOutline } from "./outlines";
import type { Errand } from "../errands/errand";
import { shortestWay, type Listener } from "../errands/shortestWay";
import { Leads } from "./leads";
import { aroundRun, entryOf, kerfed, type CutSettings, type CutStroke } from "./strokes";

/** An outline that is cut through, as it is known before the head's way is: for checks. */
export interface CutLoop {
  /** The id of the part. */
  readonly part: string;
  /** As it was drawn, millimetres on the sheet. */
  readonly run: Subpath;
  /** Where the middle of the cut goes. */
  readonly kerfed: Path;
  /** How many others lie around it: even for the edge of a piece, odd for a hole in one. */
  readonly level: number;
  /** The number of the loop around it; null for none. */
  readonly around: number | null;
  /** Whether it is cut through all round, without a bridge. */
  readonly isCutThrough: boolean;
}

/** Everything a cutter is to do, in order. Lengths in millimetres. */
export interface CutPlan {
  /** How it is cut. */
  readonly settings: CutSettings;
  /** What the head does, in order. */
  readonly strokes: readonly CutStroke[];
  /** The closed outlines that are cut through. */
  readonly loops: readonly CutLoop[];
  /** Lines that are cut but bound nothing by themselves, by the place where each begins. */
  readonly open: readonly Point[];
  /** What lay on each other and is cut once. */
  readonly doubled: number;
  /** What is cut between two pieces that are both kept, down its middle. */
  readonly between: number;
  /** Where there is no room in waste for the whole way into a cut: for a shorter one, or for none. */
  readonly entered: { readonly shorter: readonly Point[]; readonly none: readonly Point[] };
  /** Holes and pieces that the kerf leaves nothing of, by a place on each. */
  readonly vanished: readonly Point[];
  /** The way with the head down. */
  readonly length: number;
  /** The way with the head up, from the frame's corner. */
  readonly travel: number;
  /** How long it takes, seconds. */
  readonly seconds: number;
}

/** Ways in the order they are done: nothing is cut loose before everything else on it is done. */
const IN_ORDER: readonly CutWay[] = ["engrave", "score", "draw", "cut"];

/**
 * What a cutter does to make a scene: engraving, scoring and drawing first; of what is cut through, inner outlines before
 * those around them; within that by a short way. `listen` hears the share done, and ends it by answering false. The geometry
 * engine must have been loaded.
 */
export function planCut(scene: Scene, listen: Listener = () => true): CutPlan {
  const settings = scene.making.cut;
  const through = outlinesToCut(scene);
  const lines = [outlinesToFollow(scene, "score"), outlinesToFollow(scene, "draw")];
  const loops = loopsOf(through.outlines, settings.kerf);
  const depthOf = depthsOf(through.outlines);
  const start = { x: -settings.frame.width / 2, y: settings.frame.height / 2 };
  const tasks = [
    ...hatchTasks(scene),
    ...lines.flatMap(({ outlines }) => outlines.map(lineTask)),
    ...loopTasks(loops, depthOf),
    ...through.outlines
      .filter(({ role }) => role !== "edge")
      .map((outline) => ({ ...lineTask(outline), depth: depthOf(outline.run) })),
  ];
  const leads = new Leads(
    loops.map(({ loop }) => loop),
    settings.leadIn,
  );
  const strokes = inOrder(tasks, start, { overcut: settings.overcut, leads }, listen);
  const length = strokes.reduce((sum, { runs }) => sum + lengthOf(runs), 0);
  const travel = travelOver(strokes, start);
  return {
    settings,
    strokes,
    loops: loops.map(({ loop }) => loop),
    open: through.outlines.filter(({ role }) => role === "line").flatMap(({ run }) => startsOf([run])),
    between: lengthOf(through.outlines.filter(({ role }) => role === "between").map(({ run }) => run)),
    doubled: [through, ...lines].reduce((sum, { doubled }) => sum + doubled, 0),
    entered: { shorter: leads.shorter, none: leads.none },
    vanished: loops.filter(({ loop }) => loop.kerfed.length === 0).flatMap(({ loop }) => startsOf([loop.run])),
    length,
    travel,
    seconds: length / settings.speed + travel / settings.travelSpeed,
  };
}

/** One thing to do: a line that may be begun at either end, or a closed one that may be begun anywhere. */
interface Task {
  readonly as: CutWay;
  readonly part: string;
  readonly run: Subpath;
  readonly level: number | null;
  /** How many closed lines lie around it: it is done before what lies around it. Lines that do not close are done first. */
  readonly depth: number;
  readonly bridges: readonly Stretch[];
}

/** How many closed lines that are cut through lie around each of them; without end for lines that do not close. */
function depthsOf(outlines: readonly CutOutline[]): (run: Subpath) => number {
  const closed = outlines.flatMap(({ run }) => (run.closed ? [run] : []));
  const { levels } = nestingOf(closed);
  const depths = new Map(closed.map((run, index) => [run, levels[index] ?? 0]));
  return (run) => depths.get(run) ?? Infinity;
}

function loopsOf(
  outlines: readonly CutOutline[],
  kerf: number,
): { readonly loop: CutLoop; readonly cut: CutOutline["cut"] }[] {
  const own = outlines.filter(({ role }) => role === "edge");
  const { levels, around } = nestingOf(own.map(({ run }) => run));
  const byHand = placesByHand(own);
  return own.map(({ part, run, cut }, index) => {
    const level = levels[index] ?? 0;
    const { count, width } = cut.bridges;
    const isBridged = width > 0 && (count > 0 || (byHand.get(index)?.length ?? 0) > 0);
    const loop = { part, run, level, kerfed: kerfed(run, level, kerf), around: around[index] ?? null };
    return { loop: { ...loop, isCutThrough: !isBridged }, cut };
  });
}

/** Bridges set by hand go to the nearest outline of their own part. */
function placesByHand(outlines: readonly CutOutline[]): Map<number, readonly Point[]> {
  const found = new Map<number, readonly Point[]>();
  for (const part of new Set(outlines.map((outline) => outline.part))) {
    const own = outlines.flatMap((outline, index) => (outline.part === part ? [{ ...outline, index }] : []));
    const places = own[0]?.cut.bridges.at ?? [];
    for (const [at, lengths] of placesOnRuns(
      own.map(({ run }) => run),
      places,
    )) {
      const one = own[at];
      if (one)
        found.set(
          one.index,
          lengths.map((length) => measurePath(one.run).at(length).point),
        );
    }
  }
  return found;
}

function loopTasks(
  loops: readonly { readonly loop: CutLoop; readonly cut: CutOutline["cut"] }[],
  depthOf: (run: Subpath) => number,
): Task[] {
  const runs = loops.flatMap(({ loop, cut }) => loop.kerfed.map((run) => ({ run, loop, cut })));
  return [...new Set(runs.map(({ loop }) => loop.part))].flatMap((part) => {
    const own = runs.filter(({ loop }) => loop.part === part);
    const byHand = placesOnRuns(
      own.map(({ run }) => run),
      own[0]?.cut.bridges.at ?? [],
    );
    return own.map(({ run, loop, cut }, index): Task => {
      const { count, width } = cut.bridges;
      return {
        as: "cut",
        part,
        run,
        level: loop.level,
        depth: depthOf(loop.run),
        bridges: bridgesOn(run, count, width, byHand.get(index) ?? []),
      };
    });
  });
}

/** A line that bounds nothing by itself. */
function lineTask({ part, run, cut }: CutOutline): Task {
  return { as: cut.as, part, run, level: null, depth: Infinity, bridges: [] };
}

function hatchTasks(scene: Scene): Task[] {
  return partsAsCut(scene).flatMap((part) => {
    const cut = cutOf(part);
    if (cut?.as !== "engrave") return [];
    const area = combine(outlinesOf(part).map(closedOnly), "union");
    const { angle, spacing } = cut.hatch;
    return hatchOf(area, angle, spacing).map((run): Task => ({
      as: "engrave",
      part: part.id,
      run,
      level: null,
      depth: Infinity,
      bridges: [],
    }));
  });
}

const closedOnly = (path: Path) => path.filter(({ closed }) => closed);

/** Groups of tasks one after the other, each by a short way from where the one before ends. */
function inOrder(tasks: readonly Task[], start: Point, entry: Entry, listen: Listener): CutStroke[] {
  const groups = groupsOf(tasks);
  const strokes: CutStroke[] = [];
  let [at, done, goesOn] = [start, 0, true];
  for (const group of groups) {
    const hear: Listener = (share) => (goesOn = goesOn && listen((done + share * group.length) / tasks.length));
    const visits = shortestWay(group.map(errandOf), at, hear);
    const ordered = visits.flatMap(({ errand, backwards }) => {
      const task = group[errand];
      return task ? [backwards ? { ...task, run: turned(task.run) } : task] : [];
    });
    ordered.forEach((task, index) => {
      const next = ordered[index + 1];
      const stroke = strokeOf(task, at, next ? next.run : null, entry);
      strokes.push(stroke);
      at = endOf(stroke.runs) ?? at;
    });
    done += group.length;
  }
  return strokes;
}

/** By way; what is cut through by depth, the innermost first. */
function groupsOf(tasks: readonly Task[]): Task[][] {
  return IN_ORDER.flatMap((as) => {
    const own = tasks.filter((task) => task.as === as);
    // Without end less without end is no number.
    const depths = [...new Set(own.map(({ depth }) => depth))].sort((a, b) => (a === b ? 0 : b - a));
    return depths.map((depth) => own.filter((task) => task.depth === depth));
  });
}

function errandOf({ run }: Task): Errand {
  const [from, to] = [startsOf([run])[0], endOf([run])];
  const origin = { x: 0, y: 0 };
  return { from: from ?? origin, to: (run.closed ? from : to) ?? origin, reversible: true };
}

/** How cuts are entered and left. */
interface Entry {
  readonly overcut: number;
  readonly leads: Leads;
}

function strokeOf(task: Task, before: Point, next: Subpath | null, { overcut, leads }: Entry): CutStroke {
  const { as, part, run, level, bridges } = task;
  if (!run.closed) return { as, part, runs: [run], level };
  const after = next && !next.closed ? (startsOf([next])[0] ?? null) : null;
  const at = entryOf(run, before, after);
  // Only what is cut through is entered by an arc and gone over twice.
  if (level === null) return { as, part, level, runs: aroundRun(run, { at, level: 0, bridges }, 0, () => []) };
  return { as, part, level, runs: aroundRun(run, { at, level, bridges }, overcut, leads.into) };
}

function turned(run: Subpath): Subpath {
  return run.closed ? run : (reversePath([run])[0] ?? run);
}

function startsOf(runs: Path): Point[] {
  return runs.flatMap((run) => {
    const [first] = segmentsOf(run);
    return first ? [first[0]] : [];
  });
}

function endOf(runs: Path): Point | null {
  const last = runs.at(-1);
  return (last && segmentsOf(last).at(-1)?.[3]) ?? null;
}

function travelOver(strokes: readonly CutStroke[], start: Point): number {
  let [at, sum] = [start, 0];
  for (const run of strokes.flatMap(({ runs }) => runs)) {
    const [from] = startsOf([run]);
    if (from) sum += distance(at, from);
    at = endOf([run]) ?? at;
  }
  return sum;
}
