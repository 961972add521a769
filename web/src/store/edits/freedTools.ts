import { needsOfPart, type Design, type Part } from "@twin-petal/core";
import { produce } from "immer";

/** What parts follow, by id: parts that did not change are not looked through again. */
const known = new WeakMap<Part, readonly string[]>();

function followedBy(part: Part): readonly string[] {
  const before = known.get(part);
  if (before) return before;
  const { parts } = needsOfPart(part);
  known.set(part, parts);
  return parts;
}

/** Tools, parts and groups, are shown and made again once an edit leaves nothing that follows them. */
export function withFreedTools(before: Design, after: Design): Design {
  if (before.parts === after.parts) return after;
  const tools = [...after.parts, ...after.groups].filter(({ role }) => role === "tool");
  if (tools.length === 0) return after;
  const [was, is] = [before, after].map(({ parts }) => new Set(parts.flatMap(followedBy)));
  const freed = new Set(tools.flatMap(({ id }) => (was?.has(id) && !is?.has(id) ? [id] : [])));
  if (freed.size === 0) return after;
  return produce(after, ({ parts, groups }) => {
    for (const one of [...parts, ...groups]) if (freed.has(one.id)) one.role = "show";
  });
}
