import type { ResolvedOf } from "../../fields/field";
import { isRecord } from "../../fields/stored";
import type { EffectDefinition } from "./definition";
import { EFFECTS } from "./list";

type EffectTable = { readonly [E in (typeof EFFECTS)[number] as E["kind"]]: E["field"] };

/** The fields of a finish that hold effects. */
export const EFFECT_FIELDS: EffectTable = tableOf();

/** What lies under and over a part's paint, numbers and colours known; null for none. */
export type Effects = ResolvedOf<EffectTable>;

function tableOf(): EffectTable {
  const table: unknown = Object.fromEntries(EFFECTS.map(({ kind, field }) => [kind, field]));
  if (!isTable(table)) throw new Error("there are no effects");
  return table;
}

/** One field an effect has been entered under its own name. */
function isTable(table: unknown): table is EffectTable {
  return isRecord(table) && EFFECTS.every(({ kind }) => kind in table);
}

/** The effects there are, each with its values, in the order they are laid. */
export function effectsIn(effects: Effects): readonly { readonly effect: EffectDefinition; readonly values: object }[] {
  return EFFECTS.flatMap((effect) => {
    const values = effects[effect.kind];
    return values === null ? [] : [{ effect, values }];
  });
}

/** A part's effects where it has none. */
export const NO_EFFECTS: Effects = effectsOf(() => null);

/** For each effect its own values, or none. */
function effectsOf(valuesOf: (kind: string) => null): Effects {
  const none: unknown = Object.fromEntries(EFFECTS.map(({ kind }) => [kind, valuesOf(kind)]));
  if (!isEffects(none)) throw new Error("there are no effects");
  return none;
}

function isEffects(values: unknown): values is Effects {
  return isRecord(values) && EFFECTS.every(({ kind }) => kind in values);
}

/** Whether anything lies under or over the paint. */
export function hasEffects(effects: Effects): boolean {
  return effectsIn(effects).length > 0;
}

/** How far away effects still depend on what is painted, millimetres: so far beyond it they are seen. */
export function reachOfEffects(effects: Effects): number {
  return effectsIn(effects).reduce((most, { effect, values }) => Math.max(most, effect.reach(values)), 0);
}
