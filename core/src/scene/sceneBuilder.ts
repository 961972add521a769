import type { Design } from "../design/design";
import { resolveDesign } from "../design/resolve";
import type { ResolvedDesign, ResolvedPart, ResolvedSheet } from "../design/resolved";
import { isFollowingSheet, usesOf, paintedFrom } from "../design/uses";
import { IDENTITY, multiply } from "../geometry/matrix";
import { beyondOutline } from "../geometry/strip/lineShape";
import { joinKey } from "../join/joinCopies";
import { joinOf } from "../join/list";
import { MOST_DRAWN, MOST_SECONDS } from "../fields/most";
import { withEffort } from "../geometry/effort";
import { once } from "../geometry/once";
import { composeRules, type Composition } from "../rules/compose";
import { prepareForResolved, type Host } from "./needs";
import { evenLineKey } from "./evenLines";
import { drawPart, type DrawnPart } from "./partDrawing";
import { geometryOf, type Around } from "./partGeometry";
import { patternOf } from "./patternOfPart";
import type { PartScene, Scene } from "./scene";
import { surroundingsOf } from "./surroundings";
import { drawnOf, tooMuchDrawn, troubleOf } from "./tooMuch";
import { blendedFinish } from "./blendedFinish";
import { groundPart } from "./groundPart";
import { bandsOf } from "./joinedCopies";

interface Remembered {
  /** Worked out when a later design is compared. */
  readonly keys: () => Keys;
  /** Tells two ways of being painted apart; worked out when a part that takes its paint asks. */
  readonly finishKey: () => string;
  readonly drawing: DrawnPart;
  /** The copies as the rules made them. */
  readonly composed: Composition;
  /** What it follows, as it was: other parts' geometries, and the paint it takes from them. */
  readonly followed: readonly unknown[];
  readonly scene: PartScene;
  /** What it took to compute it, seconds on a usual machine. */
  readonly seconds: number;
  /** How much there is to draw of its copies, sides and dots together. */
  readonly drawn: number;
}

/** What a part's shapes follow from, besides what it uses. */
interface Keys {
  /** Of the motif as it is before any rule. */
  readonly drawing: string;
  /** Of all copies. */
  readonly geometry: string;
}

/** What there is for the rest of a design: seconds to compute it, sides and dots to draw. */
interface Budget {
  readonly seconds: number;
  readonly drawn: number;
}

/**
 * Computes designs into scenes and remembers each part, so that only what changed is computed again:
 * a new colour keeps the geometry, a new number of one part leaves the others as they are. Unchanged
 * pieces are the same objects in the next scene. What a design needs must have been loaded (`prepareFor`).
 */
export class SceneBuilder {
  private parts: ReadonlyMap<string, Remembered> = new Map();
  private ground: { readonly key: () => string; readonly part: PartScene | null } | null = null;

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
    let left: Budget = { seconds: MOST_SECONDS, drawn: MOST_DRAWN };
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
      const remembered = computeOrKeep(part, known, resolved.sheet, usedOf, this.onWork, () => left);
      if (remembered) next.set(id, remembered);
      if (remembered) left = { seconds: left.seconds - remembered.seconds, drawn: left.drawn - remembered.drawn };
      return remembered?.scene;
    };
    for (const { id } of resolved.parts) compute(id);
    this.parts = next;
    const { sheet, making, guides, numbers } = resolved;
    const parts = resolved.parts.flatMap(({ id }) => next.get(id)?.scene ?? []);
    // Some problems are only found while computing.
    const problems = [...resolved.ownProblems, ...resolved.parts.flatMap((part) => part.problems)];
    return { sheet, making, ground: this.groundOf(sheet), guides, parts, numbers, problems };
  }

  private groundOf(sheet: ResolvedSheet): PartScene | null {
    const key = once(() => JSON.stringify([sheet.width, sheet.height, sheet.ground, sheet.grain]));
    if (!this.ground || this.ground.key() !== key()) this.ground = { key, part: groundPart(sheet) };
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
  left: () => Budget,
): Remembered | undefined {
  if (part.problems.length > 0) return known;
  try {
    // What it follows counts for itself.
    for (const { id } of usesOf(part)) usedOf(id);
    const { seconds, drawn } = left();
    const { result, spent } = withEffort(seconds, () => computePart(part, known, sheet, usedOf, onWork, drawn));
    const isKept = known !== undefined && result.scene.geometry === known.scene.geometry;
    return { ...result, seconds: isKept ? known.seconds : spent };
  } catch (error) {
    const { field, message } = troubleOf(error, part);
    part.report(field, message);
    return known;
  }
}

function computePart(
  part: ResolvedPart,
  before: Remembered | undefined,
  sheet: ResolvedSheet,
  usedOf: RememberedOf,
  onWork: (part: string) => void,
  mostDrawn: number,
): Omit<Remembered, "seconds"> {
  const followed = [
    ...usesOf(part).map(({ id }) => usedOf(id)?.scene.geometry),
    ...paintedFrom(part).map((id) => usedOf(id)?.finishKey()),
    ...(isFollowingSheet(part) ? [sheet.width, sheet.height] : []),
  ];
  const { line } = part.finish;
  const beyond = line && part.rules.some(({ prepared }) => prepared.asksReach) ? beyondOutline(line) : 0;
  const reach = (size: number) => (line?.widths === "same" ? beyond : beyond * size);
  const keys = once(() => keysOf(part, followed.length > 0, beyond));
  const same = before?.followed.every((one, index) => one === followed[index]) ? before : undefined;
  const sceneOf = (id: string) => usedOf(id)?.scene;
  const known = same && same.keys().geometry === keys().geometry ? same : null;
  if (!known) onWork(part.name);
  const drawing =
    same && same.keys().drawing === keys().drawing
      ? same.drawing
      : drawPart(part, surroundingsOf(multiply(part.at, part.motifAt), sheet, sceneOf, part.groups));
  const around: Around = {
    ofPart: surroundingsOf(part.at, sheet, sceneOf, part.groups),
    onSheet: surroundingsOf(IDENTITY, sheet, sceneOf, part.groups),
  };
  const composed =
    known?.composed ?? composeRules(part.rules, drawing, part.at, around.ofPart, { foot: drawing.foot, reach });
  const drawn = drawnOf(part, composed);
  if (drawn > mostDrawn) throw tooMuchDrawn(part, drawn);
  const geometry = known?.scene.geometry ?? geometryOf(part, drawing, composed, around);
  const { id, name, role, ownRole, visible, blend, solid, cut, stitch } = part;
  const blended = blendedFinish(part, sceneOf);
  const finish = { ...blended, fill: joinOf(part.join.mode).fill(part.join, blended.fill, geometry) };
  const shown = { id, name, role, ownRole, visible, geometry, finish, blend, solid, cut, stitch };
  const finishKey = once(() => JSON.stringify([finish, blend, visible, ownRole]));
  return {
    keys,
    finishKey,
    drawing,
    followed,
    composed,
    drawn,
    scene: { ...shown, pattern: once(() => patternOf({ ...part, finish: blended }, drawing, composed, shown, around)) },
  };
}

function keysOf(part: ResolvedPart, isFollowing: boolean, beyond: number): Keys {
  const rules = part.rules.map(({ number, prepared }) => `${number} ${prepared.key}`).join("\n");
  const drawing = [
    part.motif.key,
    part.motifAt.join(),
    part.standsBy,
    ...part.cutouts.map(({ motif, at }) => `${motif.key} ${at.join()}`),
    part.join.trimToWedge ? rules : "",
    isFollowing ? part.at.join() : "",
  ].join("\n");
  const geometry = [
    beyond,
    drawing,
    rules,
    part.at.join(),
    part.oneEach,
    joinKey(part.join, bandsOf(part.finish)),
    evenLineKey(part.finish.line),
  ].join("\n");
  return { drawing, geometry };
}
