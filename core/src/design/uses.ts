import type { ResolvedPart } from "./resolve";

type Using = Pick<ResolvedPart, "id" | "motif" | "cutouts" | "report">;

/** Ids of the parts a part follows, each once. */
export function usesOf({ motif, cutouts }: Pick<ResolvedPart, "motif" | "cutouts">): string[] {
  return [...new Set([...motif.uses, ...cutouts.flatMap((cutout) => cutout.motif.uses)])];
}

/** Notes parts that follow one that is not there, and parts that follow each other in a circle. */
export function checkUses(parts: readonly Using[]): void {
  const byId = new Map(parts.map((part) => [part.id, part]));
  for (const part of parts) {
    for (const used of usesOf(part)) {
      if (!byId.has(used)) part.report("motif", `follows “${used}”, and there is no part of that id; choose another`);
    }
    const circle = circleFrom(part, byId, [part.id]);
    if (circle) part.report("motif", `follows itself in a circle: ${circle.join(" → ")}; choose another line`);
  }
}

function circleFrom(part: Using, byId: ReadonlyMap<string, Using>, trail: readonly string[]): readonly string[] | null {
  for (const used of usesOf(part)) {
    if (used === trail[0]) return [...trail, used];
    const next = byId.get(used);
    if (!next || trail.includes(used)) continue;
    const circle = circleFrom(next, byId, [...trail, used]);
    if (circle) return circle;
  }
  return null;
}
