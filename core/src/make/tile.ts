import { reachOfEffects } from "../finish/effects/effects";
import { colorOfPainting } from "../finish/paint";
import { growBox, type Box } from "../geometry/box";
import { widestOf } from "../geometry/strip/lineShape";
import { Incomputable } from "../formula/incomputable";
import { boxOfGeometry } from "../scene/boxOfGeometry";
import { groundPart } from "../scene/groundPart";
import { madeParts } from "../scene/made";
import type { PartScene, Pattern, Scene } from "../scene/scene";

/** A rectangle that can be laid side by side without a seam, and the scene it is cut from. */
export interface Tile {
  /** What the tile shows, laid out beyond its edges. */
  readonly scene: Scene;
  /** The tile on the sheet, millimetres. */
  readonly frame: Box;
  /** Parts that do not repeat in it and are left out, each with the reason. */
  readonly leftOut: readonly string[];
}

/**
 * The seamless tile of a scene: that of its topmost part that repeats in a rectangle or along a level band, with every
 * other part that repeats in the same one. Where no part does, the reasons, one a part.
 */
export function tileOfScene(scene: Scene): Tile | readonly string[] {
  const known = remembered.get(scene);
  if (known) return known;
  const tile = computeTile(scene);
  remembered.set(scene, tile);
  return tile;
}

/** Whether there is a tile is asked before it is made. */
const remembered = new WeakMap<Scene, Tile | readonly string[]>();

interface Repeating {
  readonly part: PartScene;
  readonly pattern: Pattern;
}

function computeTile(scene: Scene): Tile | readonly string[] {
  const parts = madeParts(scene);
  const repeating = parts.flatMap((part): Repeating[] => {
    const pattern = part.pattern();
    return typeof pattern === "string" ? [] : [{ part, pattern }];
  });
  const chosen = repeating.at(-1);
  const reasons = parts.flatMap(({ name, pattern }) => {
    const trouble = pattern();
    return typeof trouble === "string" ? [`${name}: ${trouble}`] : [];
  });
  if (!chosen) return reasons;
  const frame = frameOf(chosen);
  const fitting = repeating.filter(({ pattern }) => isWithin(pattern, chosen.pattern));
  const others = repeating.filter((one) => !fitting.includes(one));
  try {
    const laid = fitting.map(({ pattern }) => pattern.over(growBox(frame, AROUND)));
    return {
      scene: { ...levelGround(scene, frame), parts: laid },
      frame,
      leftOut: [...reasons, ...others.map(({ part }) => `${part.name}: it repeats otherwise than ${chosen.part.name}`)],
    };
  } catch (error) {
    if (error instanceof Incomputable) return [`${chosen.part.name}: ${error.message}`];
    throw error;
  }
}

const NEAR = 1e-6;
/** What is laid out beyond the tile's edges, millimetres. */
const AROUND = 1;

/** Whether one pattern is the same again wherever another is. */
function isWithin(one: Pattern, other: Pattern): boolean {
  const divides = (part: number, whole: number) => Math.abs(whole / part - Math.round(whole / part)) < NEAR;
  if (one.height === null || other.height === null)
    return one.height === other.height && divides(one.width, other.width);
  return divides(one.width, other.width) && divides(one.height, other.height);
}

/** A plane's tile about the sheet's centre; a band's as high as the band. */
function frameOf({ part, pattern }: Repeating): Box {
  const { width, height } = pattern;
  const x = width / 2;
  if (height !== null) return { left: -x, top: -height / 2, right: x, bottom: height / 2 };
  const { line, effects } = part.finish;
  const { top, bottom } = growBox(
    boxOfGeometry(part.geometry),
    (line ? widestOf(line) / 2 : 0) + reachOfEffects(effects),
  );
  return { left: -x, top, right: x, bottom };
}

/** The scene on a sheet that holds the frame; a ground that changes over the sheet has its middle colour, and no grain. */
function levelGround(scene: Scene, { left, top, right, bottom }: Box): Scene {
  const { ground } = scene.sheet;
  const sheet = {
    ...scene.sheet,
    width: 2 * Math.max(-left, right) + 2 * AROUND,
    height: 2 * Math.max(Math.abs(top), Math.abs(bottom)) + 2 * AROUND,
    ground: ground && ({ kind: "flat", color: colorOfPainting(ground) } as const),
    grain: null,
  };
  return { ...scene, sheet, ground: groundPart(sheet) };
}
