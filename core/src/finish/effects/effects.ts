/** A soft copy of what is painted: moved by x, y, blurred over a distance, millimetres; opacity 0…1. */
export interface Shade {
  readonly color: string;
  readonly x: number;
  readonly y: number;
  readonly blur: number;
  readonly opacity: number;
}

/** Seeded noise in cells of a size in millimetres, its strength 0…1; of one colour or of many. */
export interface Grain {
  readonly amount: number;
  readonly size: number;
  readonly seed: number;
  readonly mono: boolean;
}

/** Facets as of a crystal, so large (millimetres) and so strongly lit (0…1). */
export interface Facets {
  readonly kind: "facets";
  readonly size: number;
  readonly strength: number;
  readonly seed: number;
}

/** What lies under and over a part's paint; null for none. */
export interface Effects {
  readonly shadow: Shade | null;
  readonly glow: Shade | null;
  readonly innerShadow: Shade | null;
  readonly grain: Grain | null;
  readonly texture: Facets | null;
}

export const NO_EFFECTS: Effects = { shadow: null, glow: null, innerShadow: null, grain: null, texture: null };

export function hasEffects(effects: Effects): boolean {
  return Object.values(effects).some((effect) => effect !== null);
}

/** How far away effects still depend on what is painted, millimetres: so far beyond it they are seen. */
export function reachOfEffects({ shadow, glow, innerShadow }: Effects): number {
  const reach = (shade: Shade | null) =>
    shade ? Math.max(Math.abs(shade.x), Math.abs(shade.y)) + 1.5 * shade.blur : 0;
  return Math.max(reach(shadow), reach(glow), reach(innerShadow));
}
