import { nestingOf } from "./nesting";
import type { Path, Subpath } from "./path";

/** The connected areas of outlines that do not cross: each outer run with the holes in it. */
export function componentsOf(path: Path): Path[] {
  const runs = path.filter(({ closed }) => closed);
  if (runs.length < 2) return runs.map((run) => [run]);
  const { levels, around } = nestingOf(runs);
  const holes = new Map<number, Subpath[]>();
  runs.forEach((run, index) => {
    const outer = around[index];
    if ((levels[index] ?? 0) % 2 === 1 && outer !== null && outer !== undefined) {
      holes.set(outer, [...(holes.get(outer) ?? []), run]);
    }
  });
  return runs.flatMap((run, index) => ((levels[index] ?? 0) % 2 === 0 ? [[run, ...(holes.get(index) ?? [])]] : []));
}
