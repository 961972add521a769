import type { Design } from "../design/design";
import { resolveDesign, type ResolvedDesign, type ResolvedPart, type ResolvedSheet } from "../design/resolve";
import { isFollowingSheet, usesOf, wornBy } from "../design/uses";
import { IDENTITY, multiply } from "../geometry/matrix";
import type { Size } from "../geometry/size";
import type { Drawing } from "../motif/drawing";
import { composeRules, once, type ActiveRule } from "../rules/compose";
import { withoutCoinciding } from "../rules/coinciding";
import { RuleTrouble } from "../rules/ruleTrouble";
import { prepareForResolved, type Host } from "./needs";
import { drawPart } from "./partDrawing";
import type { PartGeometry, PartScene, Scene } from "./scene";
import { surroundingsOf } from "./surroundings";
import { blendedFinish } from "./blendedFinish";
import { faceFinish } from "./faceFinish";
import { groundPart } from "./groundPart";
import { bandOf, joinedCopies } from "./joinedCopies";
import { wedgeOf } from "./wedge";

interface Remembered {
  readonly drawingKey: string;
  readonly geometryKey: string;
  /** Tells two finishes apart; worked out when a part that wears it asks. */
  readonly finishKey: () => string;
  readonly drawing: Drawing;
  /** What it follows, as it was: other parts' geometries, and the paint it takes from them. */
  readonly followed: readonly unknown[];
  readonly scene: PartScene;
}

/**
 * Computes designs into scenes and remembers each part, so that only what changed is computed again:
 * a new colour keeps the geometry, a new number of one part leaves the others as they are. Unchanged
 * pieces are the same objects in the next scene. What a design needs must have been loaded (`prepareFor`).
 */
export class SceneBuilder {
  private parts: ReadonlyMap<string, Remembered> = new Map();
  private ground: { readonly key: string; readonly part: PartScene | null } | null = null;

  /** `onWork` is told the name of each part whose shapes are about to be computed, which may take long. */
  constructor(private readonly onWork: (part: string) => void = () => undefined) {}

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
    const compute = (id: string): PartScene | undefined => {
      const done = next.get(id);
      const part = byId.get(id);
      if (done || !part) return done?.scene;
      const known = this.parts.get(id);
      const usedOf = (used: string) => {
        compute(used);
        return next.get(used);
      };
      const remembered = computeOrKeep(part, known, resolved.sheet, usedOf, this.onWork);
      if (remembered) next.set(id, remembered);
      return remembered?.scene;
    };
    for (const { id } of resolved.parts) compute(id);
    this.parts = next;
    const { sheet, guides, numbers } = resolved;
    const parts = resolved.parts.flatMap(({ id }) => next.get(id)?.scene ?? []);
    // Some problems are only found while computing.
    const problems = [...resolved.ownProblems, ...resolved.parts.flatMap((part) => part.problems)];
    return { sheet, ground: this.groundOf(sheet), guides, parts, numbers, problems };
  }

  private groundOf(sheet: ResolvedSheet): PartScene | null {
    const key = JSON.stringify([sheet.width, sheet.height, sheet.ground]);
    if (this.ground?.key !== key) this.ground = { key, part: groundPart(sheet) };
    return this.ground.part;
  }
}

/** Computes a design once, remembering nothing. */
export function buildScene(design: Design): Scene {
  return new SceneBuilder().build(design);
}

type RememberedOf = (id: string) => Remembered | undefined;

/** A part whose numbers are wrong, or that turns out not to be computable, stays as it last was. */
function computeOrKeep(
  part: ResolvedPart,
  known: Remembered | undefined,
  sheet: ResolvedSheet,
  usedOf: RememberedOf,
  onWork: (part: string) => void,
): Remembered | undefined {
  if (part.problems.length > 0) return known;
  try {
    return computePart(part, known, sheet, usedOf, onWork);
  } catch (error) {
    if (!(error instanceof RuleTrouble)) throw error;
    part.report(error.field, error.message);
    return known;
  }
}

function computePart(
  part: ResolvedPart,
  known: Remembered | undefined,
  sheet: ResolvedSheet,
  usedOf: RememberedOf,
  onWork: (part: string) => void,
): Remembered {
  const followed = [
    ...usesOf(part).map(({ id }) => usedOf(id)?.scene.geometry),
    ...wornBy(part).map((id) => usedOf(id)?.finishKey()),
    ...(isFollowingSheet(part) ? [sheet.width, sheet.height] : []),
  ];
  const ruleKeys = part.rules.map(({ number, prepared }) => `${number} ${prepared.key}`).join("\n");
  const drawingKey = [
    part.motif.key,
    part.motifAt.join(),
    ...part.cutouts.map(({ motif, at }) => `${motif.key} ${at.join()}`),
    part.trimToWedge ? ruleKeys : "",
    followed.length > 0 ? part.at.join() : "",
  ].join("\n");
  const geometryKey = [drawingKey, ruleKeys, part.at.join(), part.oneEach, joinKey(part)].join("\n");
  const same = known?.followed.every((one, index) => one === followed[index]) ? known : undefined;
  const sceneOf = (id: string) => usedOf(id)?.scene;
  if (same?.geometryKey !== geometryKey) onWork(part.name);
  const drawing =
    same?.drawingKey === drawingKey
      ? same.drawing
      : drawPart(part, surroundingsOf(multiply(part.at, part.motifAt), sheet, sceneOf));
  const geometry =
    same?.geometryKey === geometryKey ? same.scene.geometry : computeGeometry(part, drawing, sheet, sceneOf);
  const { id, name, role, visible, blend } = part;
  const finish = faceFinish(blendedFinish(part, sceneOf), part.join, geometry);
  const finishKey = once(() => JSON.stringify([finish, blend]));
  return {
    drawingKey,
    geometryKey,
    finishKey,
    drawing,
    followed,
    scene: { id, name, role, visible, geometry, finish, blend },
  };
}

/** What of a join tells geometries apart. Colours are left out: a new one computes nothing again. */
function joinKey({ join, finish }: ResolvedPart): string {
  const { mode, cutBy, inside, dropDoubled, paint, gap, flipped, offset } = join;
  const band = mode === "weave" ? bandOf(finish) : null;
  return JSON.stringify([mode, cutBy, inside, dropDoubled, paint, gap, flipped, offset, band]);
}

type SceneOf = (id: string) => PartScene | undefined;

function computeGeometry(
  part: ResolvedPart,
  { path, pieces, told }: Drawing,
  sheet: ResolvedSheet,
  sceneOf: SceneOf,
): PartGeometry {
  const { motifAt, at, rules } = part;
  const composed = composeRules(rules, { path, pieces }, at, surroundingsOf(at, sheet, sceneOf));
  const { shapes } = composed;
  const kept = part.oneEach ? withoutCoinciding(shapes, composed.placements) : composed.placements;
  const copies = { shapes, placements: kept };
  const joined = joinedCopies(part, copies, surroundingsOf(IDENTITY, sheet, sceneOf));
  return {
    path,
    motifAt,
    at,
    wedge: once(() => wedgeOf(rules, path)),
    links: composed.links,
    tiles: once(() => tilesOf(rules)),
    marks: composed.marks,
    copies,
    shapes: joined?.shapes ?? shapes,
    placements: joined?.placements ?? kept,
    joined: joined !== null,
    colorOf: joined?.colorOf ?? null,
    faceOf: joined?.faceOf ?? null,
    crossings: joined?.crossings ?? null,
    told: [...told, ...composed.told, ...(joined?.told ?? [])],
  };
}

function tilesOf(rules: readonly ActiveRule[]): ReadonlyMap<number, Size> {
  return new Map(
    rules.flatMap(({ number, prepared }) => {
      const tile = prepared.tile();
      return tile ? [[number, tile] as const] : [];
    }),
  );
}
