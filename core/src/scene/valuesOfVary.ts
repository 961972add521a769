import { formula } from "../fields/formula";
import type { Design } from "../design/design";
import { designResolver, resolveDesign } from "../design/resolve";
import { COPY_NAMES } from "../rules/copyNames";
import { Incomputable } from "../formula/incomputable";
import { copyValues, VARIED } from "../rules/vary";
import { scopeOf } from "../formula/numbers";
import type { Scene } from "./scene";
import { buildScene } from "./sceneBuilder";

/**
 * What a formula of a vary gives for each copy the rules before it make. Null when the rule is none, or a formula
 * is wrong. What the design needs must have been loaded; a scene builder that remembers may do the building.
 */
export function valuesOfVary(
  design: Design,
  id: string,
  rule: number,
  field: string,
  build: (design: Design) => Scene = buildScene,
): Float64Array | null {
  const part = design.parts.find((known) => known.id === id);
  const stored = part?.rules[rule];
  const varied = VARIED.find((known) => known === field);
  if (!part || stored?.kind !== "vary" || !varied) return null;
  const resolver = designResolver(scopeOf(resolveDesign(design).numbers));
  const wanted = formula("factor", COPY_NAMES).resolve(stored[varied], resolver, "");
  const before = { ...part, rules: part.rules.slice(0, rule) };
  const scene = build({ ...design, parts: design.parts.map((known) => (known.id === id ? before : known)) });
  const placements = scene.parts.find((known) => known.id === id)?.geometry.placements;
  if (!wanted || !placements) return null;
  try {
    return copyValues(wanted, varied, placements);
  } catch (error) {
    if (error instanceof Incomputable) return null;
    throw error;
  }
}
