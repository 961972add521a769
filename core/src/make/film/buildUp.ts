import { hasEffects, NO_EFFECTS } from "../../finish/effects/effects";
import { changesWithin, colorAt, overOf, type Paint } from "../../finish/paint";
import type { Placements } from "../../rules/placements";
import { madeParts } from "../../scene/made";
import type { PartScene, Scene } from "../../scene/scene";

/** One part of an ornament that is built up, after those below it. */
export interface BuiltPart {
  /** As it is in the end. */
  readonly whole: PartScene;
  /** Its copies by themselves: before they are joined, without what lies under and over them. */
  readonly copies: PartScene;
  /** Whether in the end it is more than its copies. */
  readonly isMore: boolean;
  /** How many copies are there before its first. */
  readonly before: number;
}

/** How an ornament is built up, copy by copy, the lowest part first. */
export interface BuildUp {
  /** The parts that are made, the lowest first. */
  readonly parts: readonly BuiltPart[];
  /** All copies of all parts. */
  readonly count: number;
}

/** How a scene is built up. */
export function buildUpOf(scene: Scene): BuildUp {
  let count = 0;
  const parts = madeParts(scene).map((whole): BuiltPart => {
    const copies = byThemselves(whole);
    const before = count;
    count += copies.geometry.placements.count;
    return { whole, copies, isMore: isMoreThanCopies(whole), before };
  });
  return { parts, count };
}

/** A scene of which only so many copies are there yet. */
export function sceneOf(scene: Scene, { parts }: BuildUp, shown: number): Scene {
  const there = parts.flatMap(({ whole, copies, before }) => {
    const { placements } = copies.geometry;
    const own = Math.min(placements.count, shown - before);
    if (own <= 0) return [];
    if (own === placements.count) return [whole];
    const some = { ...placements, count: own };
    return [{ ...copies, geometry: { ...copies.geometry, placements: some } }];
  });
  return { ...scene, parts: there };
}

function isMoreThanCopies({ geometry, finish }: PartScene): boolean {
  const { fill, line, effects } = finish;
  return geometry.joined || hasEffects(effects) || [fill, line?.paint].some((paint) => isOverWhole(paint ?? null));
}

function isOverWhole(paint: Paint | null): boolean {
  return changesWithin(paint) && overOf(paint) === "whole";
}

/** The copies of a part, each in the colour it has among all of them. */
function byThemselves(part: PartScene): PartScene {
  const { geometry, finish } = part;
  const { shapes, placements } = geometry.copies;
  const fill = finish.fill && paintOfEach(finish.fill, placements);
  const line = finish.line && { ...finish.line, paint: paintOfEach(finish.line.paint, placements) };
  return {
    ...part,
    // No part has a dot in its id: both can stand in one file.
    id: `${part.id}.built`,
    geometry: { ...geometry, shapes, placements, joined: false },
    finish: { ...finish, fill, line, effects: NO_EFFECTS },
  };
}

/** A paint told copy by copy, so that a part of them has the colours it has among all; one that lies within a copy stays. */
function paintOfEach(paint: Paint, placements: Placements): Paint {
  if (paint.kind === "flat" || (changesWithin(paint) && !isOverWhole(paint))) return paint;
  const colorOf = colorAt(wrapped(paint, placements.count), placements);
  return {
    kind: "each",
    paints: Array.from({ length: placements.count }, (_, copy) => ({ kind: "flat", color: colorOf(copy) })),
  };
}

/** Faces are more or fewer than copies: these take the faces' paints in turn. */
function wrapped(paint: Paint, count: number): Paint {
  if (paint.kind !== "each") return paint;
  const painted = paint.paints.filter((own) => own !== null);
  return { kind: "each", paints: Array.from({ length: count }, (_, copy) => painted[copy % painted.length] ?? null) };
}
