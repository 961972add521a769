import { isEmpty, type Box } from "../geometry/box";
import type { Placements } from "../rules/placements";
import type { FillDefinition, Turns } from "./fills/definition";
import type { FlatPaint, VariedPaint } from "./fills/fill";
import { fillOf } from "./fills/list";
import type { LineGradientOver } from "./over";
import type { PlacedPaint } from "./placedPaint";

/** What one face can be painted with: one colour, or colours that change within it. */
export type FacePainting = FlatPaint | VariedPaint;

/** A paint for each outline, null for a hollow one. */
export interface EachPaint {
  /** Tells it from other paints. */
  readonly kind: "each";
  /** One for each copy. */
  readonly paints: readonly (FacePainting | null)[];
}

/** What copies are painted with; colours are `#RRGGBB` or `#RRGGBBAA`. */
export type Paint = FlatPaint | VariedPaint | EachPaint;

const ANYWHERE: Box = { left: 0, top: 0, right: 1, bottom: 1 };

/** What shows nothing, as a colour. */
const CLEAR = "#00000000";

function definitionOf(paint: VariedPaint): FillDefinition {
  const definition = fillOf(paint.kind);
  if (!definition) throw new Error(`there is no fill of the kind ${paint.kind}`);
  return definition;
}

/** A function from a copy's number to its colour; the middle one stands for colours that change within. */
export function colorAt(paint: Paint, placements: Placements): (copy: number) => string {
  if (paint.kind === "flat") return () => paint.color;
  if (paint.kind !== "each") return definitionOf(paint).colorAt(paint, placements);
  return (copy) => {
    const own = paint.paints[copy];
    return own ? colorAt(own, placements)(copy) : CLEAR;
  };
}

/** Whether a paint's colours change within what is painted, rather than from copy to copy. */
export function changesWithin(paint: Paint | null | undefined): paint is VariedPaint {
  if (!paint || paint.kind === "flat" || paint.kind === "each") return false;
  return definitionOf(paint).changes === "within";
}

/** Colours that take turns from copy to copy, and what they go by; null for paints that do otherwise. */
export function turnsOfPaint(paint: Paint): Turns | null {
  return paint.kind === "flat" || paint.kind === "each" ? null : definitionOf(paint).turns(paint);
}

/** Whether a copy's colour goes only by what the copy itself carries. */
export function isCarriedPaint(paint: Paint): boolean {
  return paint.kind !== "flat" && paint.kind !== "each" && definitionOf(paint).isCarried(paint);
}

/** What colours that change within lie over. */
export function overOf(paint: VariedPaint): LineGradientOver {
  return definitionOf(paint).overOf(paint);
}

/** Whether a line's colour changes along it. */
export function isAlongLine(paint: Paint): paint is VariedPaint {
  return changesWithin(paint) && overOf(paint) === "line";
}

/** Whether a paint is a picture wherever it is laid, which strokes cannot have. */
export function isPictured(paint: Paint): boolean {
  return changesWithin(paint) && definitionOf(paint).pictured !== null;
}

/** What is told of a file that has a paint among its vectors as a picture. */
export function pictureWords(paint: Paint): readonly string[] {
  if (paint.kind === "each") return paint.paints.flatMap((own) => (own ? pictureWords(own) : []));
  return paint.kind === "flat" ? [] : [definitionOf(paint).pictured ?? []].flat();
}

/** Lays colours that change within over a box; what is painted may reach so far beyond it. Millimetres. */
export function placePaint(paint: VariedPaint, box: Box, reach: number): PlacedPaint {
  // What is painted may turn out to be nothing: its place is then as good as any.
  return definitionOf(paint).place(paint, isEmpty(box) ? ANYWHERE : box, reach);
}

/** A function from a share of a line's length (0…1) to the colour there. */
export function colorAlongLine(paint: VariedPaint): (share: number) => string {
  return definitionOf(paint).along(paint);
}

/** A paint's colours one by one. */
export function colorsOfPaint(paint: FlatPaint | VariedPaint): readonly string[] {
  return paint.kind === "flat" ? [paint.color] : definitionOf(paint).colorsOf(paint);
}

/** What a face is painted with: of colours that go from copy to copy, the first. */
export function facePainting(paint: FlatPaint | VariedPaint): FacePainting {
  if (paint.kind === "flat" || changesWithin(paint)) return paint;
  return { kind: "flat", color: colorsOfPaint(paint)[0] ?? "#000000" };
}

/** The one colour that stands for a painting. */
export function colorOfPainting(paint: FacePainting): string {
  return paint.kind === "flat" ? paint.color : definitionOf(paint).along(paint)(0.5);
}
