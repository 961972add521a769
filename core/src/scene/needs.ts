import type { Design } from "../design/design";
import { resolveDesign } from "../design/resolve";
import type { ResolvedDesign, ResolvedPart } from "../design/resolved";
import { loadFont } from "../engines/fontBook";
import { loadGeometryEngine } from "../engines/geometryEngine";
import { joinOf } from "../join/list";
import type { MotifNeeds } from "../motif/definition";
import { FONTS, type ShippedFont } from "../motif/text/fonts";

/** Where a host finds what has to be loaded before some designs can be drawn. */
export interface Host {
  /** The geometry engine's WebAssembly. */
  geometryEngine: () => Promise<Uint8Array | ArrayBuffer>;
  /** The solid engine's WebAssembly. */
  solidEngine: () => Promise<Uint8Array | ArrayBuffer>;
  /** A font's file. */
  font: (font: ShippedFont) => Promise<Uint8Array>;
}

/** What a design needs loaded: fonts by id, each once, and whether outlines are combined. */
export function needsOf(design: Design): MotifNeeds {
  return needsOfParts(resolveDesign(design).parts);
}

function needsOfParts(parts: readonly ResolvedPart[]): MotifNeeds {
  const needs = parts.flatMap(({ motif, cutouts, rules }) => [
    motif.needs,
    ...cutouts.map((cutout) => cutout.motif.needs),
    ...rules.map(({ prepared }) => prepared.needs),
  ]);
  return {
    fonts: [...new Set(needs.flatMap(({ fonts }) => fonts))],
    geometryEngine:
      needs.some(({ geometryEngine }) => geometryEngine) ||
      parts.some(
        ({ cutouts, join, finish: { line } }) =>
          cutouts.length > 0 ||
          join.trimToWedge ||
          (line !== null && line.place !== "center") ||
          !joinOf(join.mode).leavesCopies ||
          join.cutBy.length > 0 ||
          join.inside !== null ||
          join.offset !== null,
      ),
  };
}

/** Loads what a design needs and is not loaded yet. A scene can be built at once afterwards. */
export function prepareFor(design: Design, host: Host): Promise<void> {
  return prepareForResolved(resolveDesign(design), host);
}

/** The same for a design whose numbers are computed already. */
export async function prepareForResolved({ parts }: ResolvedDesign, host: Host): Promise<void> {
  const { fonts, geometryEngine } = needsOfParts(parts);
  const wanted = FONTS.filter(({ id }) => fonts.includes(id));
  await Promise.all([
    ...wanted.map((font) => loadFont(font.id, () => host.font(font))),
    ...(geometryEngine ? [loadGeometryEngine(host.geometryEngine)] : []),
  ]);
}
