import { resolveNumbers, scopeOf } from "../formula/numbers";
import { IDENTITY, type Matrix } from "../geometry/matrix";
import type { Point } from "../geometry/point";
import type { PreparedMotif } from "../motif/definition";
import { motifOf } from "../motif/list";
import type { PlacedMotif } from "../motif/placedMotif";
import type { ActiveRule } from "../rules/compose";
import { ruleOf } from "../rules/list";
import type { FacePainting } from "../finish/paint";
import { resolveColor, resolveFacePaint, resolveFinish, type ResolvedFinish } from "../finish/resolveFinish";
import type { Scope } from "../formula/compile";
import type { Offset } from "../join/offsets";
import type { Blend, ColorValue, Design, Guide, Join, Motif, Part, Role, Rule } from "./design";
import { MOST_COPIES } from "./most";
import { resolvePlace } from "./place";
import type { Problem } from "./problem";
import { Resolver } from "./resolver";
import { checkUses } from "./uses";
import {
  GUIDE_ANGLE,
  GUIDE_PLACE,
  GUIDE_POINTS,
  OFFSET_BY,
  OFFSET_TIMES,
  SHEET_MARGIN,
  SHEET_SIDE,
  WEAVE_GAP,
} from "./designLimits";

/** The sheet in millimetres. */
export interface ResolvedSheet {
  readonly width: number;
  readonly height: number;
  readonly margin: number;
  /** Null for none. */
  readonly ground: FacePainting | null;
}

/** A guide with its numbers known: an upright line, a level line, or a star. Millimetres. */
export type ResolvedGuide =
  | { readonly kind: "upright"; readonly x: number }
  | { readonly kind: "level"; readonly y: number }
  | { readonly kind: "slanted"; readonly angle: number; readonly through: Point }
  | {
      readonly kind: "star";
      readonly points: number;
      readonly outer: number;
      readonly inner: number;
      readonly start: number;
    }
  | { readonly kind: "polygon"; readonly sides: number; readonly radius: number; readonly start: number };

/** How a part's copies combine, with palette colours known. */
export interface ResolvedJoin extends Omit<Join, "trimToWedge" | "colors" | "gap" | "offset"> {
  /** Faces: paints in turn; null leaves one hollow. */
  readonly colors: readonly (FacePainting | null)[];
  /** Millimetres. */
  readonly gap: number;
  readonly offset: Offset | null;
}

/** A part with every number known, ready to be computed. */
export interface ResolvedPart {
  readonly id: string;
  readonly name: string;
  readonly role: Role;
  readonly visible: boolean;
  readonly motif: PreparedMotif;
  /** The motif's own place, before any rule. */
  readonly motifAt: Matrix;
  readonly cutouts: readonly PlacedMotif[];
  readonly trimToWedge: boolean;
  readonly join: ResolvedJoin;
  /** Whether copies that only repeat another are left out. */
  readonly oneEach: boolean;
  readonly rules: readonly ActiveRule[];
  /** The whole part's place, after every rule. */
  readonly at: Matrix;
  readonly finish: ResolvedFinish;
  readonly blend: Blend;
  /** Notes something wrong with it, at one of its fields. */
  report: (field: string, message: string) => void;
  /** What kept its numbers from being known; such a part cannot be computed. */
  readonly problems: readonly Problem[];
}

export interface ResolvedDesign {
  readonly sheet: ResolvedSheet;
  readonly guides: readonly ResolvedGuide[];
  readonly parts: readonly ResolvedPart[];
  /** The named numbers that have a value. */
  readonly numbers: ReadonlyMap<string, number>;
  /** What is wrong outside the parts. */
  readonly ownProblems: readonly Problem[];
  /** Everything that is wrong, the parts' problems included. */
  readonly problems: readonly Problem[];
}

/** Computes every number and formula of a design; what is wrong is told at its path. */
export function resolveDesign(design: Design): ResolvedDesign {
  const numbers = resolveNumbers(design.numbers);
  const scope = scopeOf(numbers.values);
  const resolver = designResolver(scope);
  const palette = new Map(design.palette.map(({ name, color }) => [name, color]));
  const { sheet } = design;
  const resolvedSheet = {
    width: resolver.number(sheet.width, SHEET_SIDE, "sheet.width"),
    height: resolver.number(sheet.height, SHEET_SIDE, "sheet.height"),
    margin: resolver.number(sheet.margin, SHEET_MARGIN, "sheet.margin"),
    ground: sheet.ground === null ? null : resolveFacePaint(sheet.ground, palette, resolver, "sheet.ground"),
  };
  const guides = design.guides.map((guide, index) => resolveGuide(guide, resolver, `guides[${index}]`));
  const parts = design.parts.map((part, index) => resolvePart(part, designResolver(scope), palette, `parts[${index}]`));
  checkUses(parts);
  const ownProblems = [...numbers.problems, ...resolver.problems];
  const problems = [...ownProblems, ...parts.flatMap((part) => part.problems)];
  return { sheet: resolvedSheet, guides, parts, numbers: numbers.values, ownProblems, problems };
}

function resolveGuide(guide: Guide, resolver: Resolver, path: string): ResolvedGuide {
  if ("x" in guide) return { kind: "upright", x: resolver.number(guide.x, GUIDE_PLACE, `${path}.x`) };
  if ("y" in guide) return { kind: "level", y: resolver.number(guide.y, GUIDE_PLACE, `${path}.y`) };
  if ("angle" in guide) {
    const { x, y } = guide.through ?? { x: 0, y: 0 };
    const through = {
      x: resolver.number(x, GUIDE_PLACE, `${path}.through.x`),
      y: resolver.number(y, GUIDE_PLACE, `${path}.through.y`),
    };
    return { kind: "slanted", angle: resolver.number(guide.angle, GUIDE_ANGLE, `${path}.angle`), through };
  }
  if ("polygon" in guide) {
    const { sides, radius, start = 0 } = guide.polygon;
    return {
      kind: "polygon",
      sides: resolver.number(sides, GUIDE_POINTS, `${path}.polygon.sides`),
      radius: resolver.number(radius, SHEET_SIDE, `${path}.polygon.radius`),
      start: resolver.number(start, GUIDE_ANGLE, `${path}.polygon.start`),
    };
  }
  const { points, outer, inner, start = 0 } = guide.star;
  return {
    kind: "star",
    points: resolver.number(points, GUIDE_POINTS, `${path}.star.points`),
    outer: resolver.number(outer, SHEET_SIDE, `${path}.star.outer`),
    inner: resolver.number(inner, SHEET_SIDE, `${path}.star.inner`),
    start: resolver.number(start, GUIDE_ANGLE, `${path}.star.start`),
  };
}

/** A resolver for a design's numbers and motifs. */
export function designResolver(scope: Scope): Resolver {
  return new Resolver(scope, prepareMotif);
}

function prepareMotif(stored: Motif, resolver: Resolver, path: string): PlacedMotif {
  const motif = motifOf(stored.kind);
  if (!motif) throw new Error(`a design with the unknown motif ${stored.kind} was let in`);
  return {
    motif: motif.prepare(stored, resolver, path),
    at: stored.at ? resolvePlace(stored.at, resolver, `${path}.at`) : IDENTITY,
  };
}

function resolvePart(part: Part, resolver: Resolver, palette: ReadonlyMap<string, string>, path: string): ResolvedPart {
  const motif = resolver.motif(part.motif, `${path}.motif`);
  const resolved = {
    id: part.id,
    name: part.name,
    role: part.role,
    visible: part.visible,
    motif: motif.motif,
    motifAt: motif.at,
    cutouts: part.cutouts.map((cutout, index) => resolver.motif(cutout, `${path}.cutouts[${index}]`)),
    trimToWedge: part.join.trimToWedge,
    join: resolveJoin(part.join, palette, resolver, `${path}.join`),
    oneEach: part.oneEach,
    rules: resolveRules(part.rules, resolver, `${path}.rules`),
    at: resolvePlace(part.at, resolver, `${path}.at`),
    finish: resolveFinish(part.finish, palette, resolver, `${path}.finish`),
    blend: part.finish.blend,
    report: (field: string, message: string) => resolver.report(field === "" ? path : `${path}.${field}`, message),
    problems: resolver.problems,
  };
  checkCopies(resolved.rules, resolver, `${path}.rules`);
  return resolved;
}

function resolveJoin(
  { mode, cutBy, inside, dropDoubled, paint, flipped, colors, own, gap, offset }: Join,
  palette: ReadonlyMap<string, string>,
  resolver: Resolver,
  path: string,
): ResolvedJoin {
  const known = (color: ColorValue | null) => (color === null ? null : resolveColor(color, palette));
  return {
    mode,
    cutBy,
    inside,
    dropDoubled,
    paint,
    flipped,
    colors: colors.map((fill, index) =>
      fill === null ? null : resolveFacePaint(fill, palette, resolver, `${path}.colors[${index}]`),
    ),
    own: own.map(({ face, color }) => ({ face, color: known(color) })),
    gap: resolver.number(gap, WEAVE_GAP, `${path}.gap`),
    offset: offset && {
      by: resolver.number(offset.by, OFFSET_BY, `${path}.offset.by`),
      times: resolver.number(offset.times, OFFSET_TIMES, `${path}.offset.times`),
      corners: offset.corners,
      keep: offset.keep,
    },
  };
}

function resolveRules(rules: readonly Rule[], resolver: Resolver, path: string): ActiveRule[] {
  return rules.flatMap((rule, number) => {
    const definition = ruleOf(rule.kind);
    if (!definition) throw new Error(`a design with the unknown rule ${rule.kind} was let in`);
    const prepared = definition.prepare(rule, resolver, `${path}[${number}]`);
    return rule.on ? [{ number, prepared }] : [];
  });
}

function checkCopies(rules: readonly ActiveRule[], resolver: Resolver, path: string): void {
  const copies = rules.reduce((product, { prepared }) => product * prepared.copies, 1);
  if (copies <= MOST_COPIES) return;
  const told = copies.toLocaleString("en");
  resolver.report(path, `make ${told} copies together; a part has at most 200,000: lower a count`);
}
