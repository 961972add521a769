import { segmentsOf, subpathOf, type Subpath } from "./path";
import { cutAtLengths, nodeLengths } from "./pathLength";

/** Shorter stretches are none: what begins or ends this near to a node does so at it. Millimetres. */
const NOTHING = 1e-6;

/** The stretch of a run between two lengths along it, as an open run; on a closed one it may go on round past its start. */
export function stretchOf(run: Subpath, start: number, end: number): Subpath {
  const nodes = nodeLengths(run);
  const total = nodes.at(-1) ?? 0;
  const onNode = (length: number) => nodes.find((node) => Math.abs(node - length) < NOTHING) ?? length;
  const [from, to] = [onNode(start), onNode(end)];
  if (run.closed && from >= total && to > total) return stretchOf(run, from - total, to - total);
  if (run.closed && to > total + NOTHING) {
    const [first, second] = [stretchOf(run, from, total), stretchOf(run, 0, to - total)];
    return subpathOf([...segmentsOf(first), ...segmentsOf(second)], false);
  }
  const inside = nodes.filter((length) => length > from + NOTHING && length < to - NOTHING);
  return subpathOf(cutAtLengths(run, [from, ...inside, Math.min(to, total)]), false);
}

/** A closed run begun at another of its lengths. */
export function begunAt(run: Subpath, length: number): Subpath {
  const total = nodeLengths(run).at(-1) ?? 0;
  if (length <= NOTHING || length >= total - NOTHING) return run;
  const stretch = stretchOf(run, length, length + total);
  return { closed: true, coordinates: stretch.coordinates };
}
