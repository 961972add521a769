import type { Design } from "../design/design";
import { resolveDesign, type ResolvedDesign, type ResolvedPart } from "../design/resolve";
import { usesOf } from "../design/uses";
import type { Drawing } from "../motif/drawing";
import { composeRules } from "../rules/compose";
import type { SpanReport } from "../rules/definition";
import { prepareForResolved, type Host } from "./needs";
import { drawPart } from "./partDrawing";
import type { PartGeometry, PartScene, Scene } from "./scene";
import { wedgeOf } from "./wedge";

interface Remembered {
  readonly drawingKey: string;
  readonly geometryKey: string;
  readonly drawing: Drawing;
  /** The geometries of the parts it follows, as they were. */
  readonly followed: readonly (PartGeometry | undefined)[];
  readonly scene: PartScene;
}

/**
 * Computes designs into scenes and remembers each part, so that only what changed is computed again:
 * a new colour keeps the geometry, a new number of one part leaves the others as they are. Unchanged
 * pieces are the same objects in the next scene. What a design needs must have been loaded (`prepareFor`).
 */
export class SceneBuilder {
  private parts: ReadonlyMap<string, Remembered> = new Map();

  build(design: Design): Scene {
    return this.buildResolved(resolveDesign(design));
  }

  /** Loads what the design needs and is not loaded yet, then computes it. */
  async buildPrepared(design: Design, host: Host): Promise<Scene> {
    const resolved = resolveDesign(design);
    await prepareForResolved(resolved, host);
    return this.buildResolved(resolved);
  }

  private buildResolved(resolved: ResolvedDesign): Scene {
    const next = new Map<string, Remembered>();
    const byId = new Map(resolved.parts.map((part) => [part.id, part]));
    const compute = (id: string): PartGeometry | undefined => {
      const done = next.get(id);
      const part = byId.get(id);
      if (done || !part) return done?.scene.geometry;
      const known = this.parts.get(id);
      const remembered = part.problems.length === 0 ? computePart(part, known, compute) : known;
      if (remembered) next.set(id, remembered);
      return remembered?.scene.geometry;
    };
    for (const { id } of resolved.parts) compute(id);
    this.parts = next;
    const { sheet, guides, numbers, problems } = resolved;
    const parts = resolved.parts.flatMap(({ id }) => next.get(id)?.scene ?? []);
    return { sheet, guides, parts, numbers, problems };
  }
}

/** Computes a design once, remembering nothing. */
export function buildScene(design: Design): Scene {
  return new SceneBuilder().build(design);
}

type GeometryOf = (id: string) => PartGeometry | undefined;

function computePart(part: ResolvedPart, known: Remembered | undefined, geometryOf: GeometryOf): Remembered {
  const followed = usesOf(part).map(geometryOf);
  const ruleKeys = part.rules.map(({ number, prepared }) => [number, prepared.key]);
  const drawingKey = JSON.stringify([
    part.motif.key,
    part.motifAt,
    part.cutouts.map(({ motif, at }) => [motif.key, at]),
    part.trimToWedge && ruleKeys,
    followed.length > 0 && part.at,
  ]);
  const geometryKey = JSON.stringify([drawingKey, ruleKeys, part.at]);
  const sameLines = known?.followed.every((geometry, index) => geometry === followed[index]) ?? false;
  const same = sameLines ? known : undefined;
  const drawing = same?.drawingKey === drawingKey ? same.drawing : drawPart(part, geometryOf);
  const geometry = same?.geometryKey === geometryKey ? same.scene.geometry : computeGeometry(part, drawing);
  const { id, name, role, visible, finish, blend } = part;
  const scene = { id, name, role, visible, geometry, finish, blend };
  return { drawingKey, geometryKey, drawing, followed, scene };
}

function computeGeometry(part: ResolvedPart, { path, pieces, told }: Drawing): PartGeometry {
  const spans = new Map<number, SpanReport>();
  for (const { number, prepared } of part.rules) {
    const span = prepared.span();
    if (span) spans.set(number, span);
  }
  const { motifAt } = part;
  return {
    path,
    pieces,
    told,
    motifAt,
    wedge: wedgeOf(part.rules, path),
    spans,
    ...composeRules(part.rules, path, part.at),
  };
}
