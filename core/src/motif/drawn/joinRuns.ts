import { distance } from "../../geometry/point";
import { endOf, replaceRun, reverseRun } from "./editRuns";
import { placeOfNode, type DrawnNode, type DrawnPath } from "./nodes";

/** Ends nearer than this become one node, millimetres; others are joined by a straight segment. */
const MEETS = 1e-3;

/** Joins two ends of open runs: two runs into one, or the two ends of one run into a closed one. Null when they are no two ends. */
export function joinRuns(paths: readonly DrawnPath[], first: number, second: number): DrawnPath[] | null {
  const [a, b] = [placeOfNode(paths, first), placeOfNode(paths, second)];
  if (!a || !b || first === second) return null;
  const [endA, endB] = [endOf(paths, a), endOf(paths, b)];
  const [runA, runB] = [paths[a.run], paths[b.run]];
  if (!endA || !endB || !runA || !runB) return null;
  if (a.run === b.run) return replaceRun(paths, a.run, closeRun(runA));
  const before = endA === "end" ? runA : reverseRun(runA);
  const after = endB === "start" ? runB : reverseRun(runB);
  const joined: DrawnPath = { closed: false, nodes: mergeEnds(before.nodes, after.nodes) };
  return paths.flatMap((run, index) => (index === a.run ? [joined] : index === b.run ? [] : [run]));
}

/** A run closed: its last node becomes its first where they meet. */
export function closeRun(run: DrawnPath): DrawnPath {
  const first = run.nodes[0];
  const last = run.nodes.at(-1);
  if (!first || !last || run.nodes.length < 3 || distance(first, last) > MEETS) return { ...run, closed: true };
  return { closed: true, nodes: [{ ...first, in: last.in, type: "corner" }, ...run.nodes.slice(1, -1)] };
}

function mergeEnds(before: readonly DrawnNode[], after: readonly DrawnNode[]): DrawnNode[] {
  const last = before.at(-1);
  const first = after[0];
  if (!last || !first || distance(last, first) > MEETS) return [...before, ...after];
  return [...before.slice(0, -1), { ...last, out: first.out, type: "corner" }, ...after.slice(1)];
}
