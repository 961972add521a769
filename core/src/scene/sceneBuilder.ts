import type { Design } from "../design/design";
import { resolveDesign, type ResolvedPart } from "../design/resolve";
import { transformPath } from "../geometry/path";
import { composeRules } from "../rules/compose";
import type { SpanReport } from "../rules/definition";
import type { PartGeometry, PartScene, Scene } from "./scene";

interface Remembered {
  readonly pathKey: string;
  readonly geometryKey: string;
  readonly scene: PartScene;
}

/**
 * Computes designs into scenes and remembers each part, so that only what changed is computed again:
 * a new colour keeps the geometry, a new number of one part leaves the others as they are. Unchanged
 * pieces are the same objects in the next scene.
 */
export class SceneBuilder {
  private parts: ReadonlyMap<string, Remembered> = new Map();

  build(design: Design): Scene {
    const resolved = resolveDesign(design);
    const next = new Map<string, Remembered>();
    const scenes: PartScene[] = [];
    for (const part of resolved.parts) {
      const known = this.parts.get(part.id);
      const remembered = part.problems.length === 0 ? computePart(part, known) : known;
      if (!remembered) continue;
      next.set(part.id, remembered);
      scenes.push(remembered.scene);
    }
    this.parts = next;
    const { sheet, guides, numbers, problems } = resolved;
    return { sheet, guides, parts: scenes, numbers, problems };
  }
}

/** Computes a design once, remembering nothing. */
export function buildScene(design: Design): Scene {
  return new SceneBuilder().build(design);
}

function computePart(part: ResolvedPart, known: Remembered | undefined): Remembered {
  const pathKey = JSON.stringify([part.motif.key, part.motifAt]);
  const geometryKey = JSON.stringify([
    pathKey,
    part.rules.map(({ number, prepared }) => [number, prepared.key]),
    part.at,
  ]);
  const geometry =
    known?.geometryKey === geometryKey
      ? known.scene.geometry
      : computeGeometry(part, known?.pathKey === pathKey ? known : undefined);
  const { id, name, role, visible, finish, blend } = part;
  return { pathKey, geometryKey, scene: { id, name, role, visible, geometry, finish, blend } };
}

function computeGeometry(part: ResolvedPart, samePath: Remembered | undefined): PartGeometry {
  const path = samePath?.scene.geometry.path ?? transformPath(part.motif.outline(), part.motifAt);
  const spans = new Map<number, SpanReport>();
  for (const { number, prepared } of part.rules) {
    const span = prepared.span();
    if (span) spans.set(number, span);
  }
  return { path, spans, ...composeRules(part.rules, path, part.at) };
}
