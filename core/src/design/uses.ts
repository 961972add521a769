import type { ResolvedPart } from "./resolved";
import { MOST_COPIES } from "../fields/most";
import { partsNamed } from "./groups";
import { SHEET } from "../fields/partName";

type Using = Pick<ResolvedPart, "id" | "motif" | "cutouts" | "rules" | "join" | "groups" | "report">;
type Follower = Pick<ResolvedPart, "motif" | "cutouts" | "rules" | "join" | "groups">;

/** Another part that a part follows, and the field that names it. */
interface Use {
  readonly id: string;
  readonly field: string;
}

/** The parts a part follows, each once, those of groups it follows too; fields that name none yet are passed over. */
export function usesOf({ motif, cutouts, rules, join, groups }: Follower): Use[] {
  const named = [
    ...motif.uses.map((id) => ({ id, field: "motif" })),
    ...cutouts.flatMap((cutout, index) => cutout.motif.uses.map((id) => ({ id, field: `cutouts[${index}]` }))),
    ...rules.flatMap(({ number, prepared }) => prepared.uses.map((id) => ({ id, field: `rules[${number}]` }))),
    ...join.with.map((id, index) => ({ id, field: `join.with[${index}]` })),
    ...join.cutBy.map((id, index) => ({ id, field: `join.cutBy[${index}]` })),
    ...(join.inside === null ? [] : [{ id: join.inside, field: "join.inside" }]),
  ].filter(({ id }) => id !== SHEET && id !== "");
  const all = new Map<string, Use>();
  for (const { id, field } of named) {
    for (const part of partsNamed(groups, id)) if (!all.has(part)) all.set(part, { id: part, field });
  }
  return [...all.values()];
}

/** Ids of the parts whose paint a part takes. */
export function paintedFrom({ motif, cutouts, rules, groups }: Omit<Follower, "join">): string[] {
  const named = [
    ...motif.paintFrom,
    ...cutouts.flatMap((cutout) => cutout.motif.paintFrom),
    ...rules.flatMap(({ prepared }) => prepared.paintFrom),
  ];
  return named.flatMap((id) => partsNamed(groups, id));
}

/** Whether a part follows the sheet's size. */
export function isFollowingSheet({ rules, join }: Pick<Follower, "rules" | "join">): boolean {
  return join.inside === SHEET || rules.some(({ prepared }) => prepared.uses.includes(SHEET));
}

/** Notes parts that follow one that is not there, and parts that follow each other in a circle. */
export function checkUses(parts: readonly Using[]): void {
  const following = parts.filter((part) => usesOf(part).length > 0);
  if (following.length === 0) return;
  const byId = new Map(parts.map((part) => [part.id, part]));
  for (const part of following) {
    for (const { id, field } of usesOf(part)) {
      if (!byId.has(id)) {
        part.report(field, `follows “${id}”, and there is no part of that id; choose another`);
      }
    }
    const circle = circleFrom(part, byId, [part.id], new Set());
    if (circle) {
      part.report(circle.field, `follows itself in a circle: ${circle.ids.join(" → ")}; choose another part`);
    }
  }
  checkNested(following, byId);
}

interface Circle {
  readonly ids: readonly string[];
  /** The field it begins at. */
  readonly field: string;
}

/** The way from a part back to itself. What was gone through without finding one is not gone through again. */
function circleFrom(
  part: Using,
  byId: ReadonlyMap<string, Using>,
  trail: readonly string[],
  seen: Set<string>,
): Circle | null {
  for (const { id, field } of usesOf(part)) {
    if (id === trail[0]) return { ids: [...trail, id], field };
    const next = byId.get(id);
    if (!next || seen.has(id)) continue;
    seen.add(id);
    const circle = circleFrom(next, byId, [...trail, id], seen);
    if (circle) return { ids: circle.ids, field };
  }
  return null;
}

/** Notes parts that are motifs of parts that are motifs …, and come to too many copies together. */
function checkNested(parts: readonly Using[], byId: ReadonlyMap<string, Using>): void {
  const known = new Map<string, number>();
  const copiesOf = (part: Using): number => {
    const before = known.get(part.id);
    if (before !== undefined) return before;
    // A circle is told elsewhere; here it counts once.
    known.set(part.id, 1);
    const own = part.rules.reduce((product, { prepared }) => product * prepared.copies, 1);
    const inner = part.motif.paintFrom.flatMap((id) => partsNamed(part.groups, id)).map((id) => byId.get(id));
    const within = inner.reduce((sum, next) => sum + (next ? copiesOf(next) : 1), 0);
    const copies = own * Math.max(1, within);
    known.set(part.id, copies);
    return copies;
  };
  for (const part of parts) {
    const copies = copiesOf(part);
    if (part.motif.paintFrom.length === 0 || copies <= MOST_COPIES) continue;
    part.report("motif", `comes to ${copies.toLocaleString("en")} pieces with this part as its motif; at most 200,000`);
  }
}
