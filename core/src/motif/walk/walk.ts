import { structure } from "../../fields/structure";
import { straight, type Cubic } from "../../geometry/cubic";
import { subpathOf, type Path, type Subpath } from "../../geometry/path";
import { distance, ORIGIN, type Point } from "../../geometry/point";
import { defineMotif } from "../definition";
import { resolveStep, stepsField, walkTrouble, type WalkStep, type WalkStepValue } from "./steps";
import { traceWalk } from "./trace";

/** Ends nearer than this meet, millimetres: rounding adds up over many steps. */
const MEETS = 1e-6;

/** A line made by walking: go, turn, skip, and repeats of these. */
export const walk = defineMotif<{ readonly steps: readonly WalkStep[] }>({
  kind: "walk",
  origin: "made",
  open: true,
  fields: {
    steps: structure<readonly WalkStepValue[], readonly WalkStep[]>({
      default: [],
      is: isSteps,
      of: stepsField(),
      resolve: (stored, resolver, path) =>
        stored.map((step, index) => resolveStep(step, resolver, `${path}[${index}]`)),
    }),
  },
  outline: ({ steps }): Path => (walkTrouble(steps) === null ? pathOfWalk(steps) : []),
  conflicts({ steps }) {
    const message = walkTrouble(steps);
    return message === null ? [] : [{ path: "steps", message }];
  },
});

function isSteps(stored: unknown): stored is readonly WalkStepValue[] {
  return Array.isArray(stored);
}

/** The runs a walk draws; one that ends where it began is closed. */
function pathOfWalk(steps: readonly WalkStep[]): Path {
  const runs: Point[][] = [];
  let begins = true;
  traceWalk(steps, ({ kind, from, to }) => {
    if (kind === "skip") begins = true;
    if (kind !== "go") return;
    if (begins) runs.push([from]);
    begins = false;
    runs.at(-1)?.push(to);
  });
  return runs.map(runOf);
}

function runOf(points: readonly Point[]): Subpath {
  const first = points[0] ?? ORIGIN;
  const last = points.at(-1) ?? ORIGIN;
  const closed = points.length > 3 && distance(first, last) < MEETS;
  const ends = closed ? [...points.slice(0, -1), first] : points;
  return subpathOf(
    ends.slice(1).map((end, k): Cubic => straight(ends[k] ?? end, end)),
    closed,
  );
}
