import {
  isPair,
  motifOf,
  randomFrom,
  resolveDesign,
  ruleOf,
  type Design,
  type Field,
  type FieldTable,
  type NamedNumber,
  type StoredFields,
} from "@twin-petal/core";
import { castDraft } from "immer";
import { applyEdit, type Edit } from "../edit";
import { stepOf } from "./numbers";

/** Throws tried until one leaves the design without a problem. */
const TRIES = 12;
/** Copies a surprise makes at most; a count is not thrown above it. */
const MOST_COPIES = 4_000;

/**
 * Random values by a seed: for every named number that has a range; where there is none, for the plain numbers of a
 * part's motif and rules, from half to half again of what they are. Always worked out from `before`.
 */
export function surprise(before: Design, part: string | null, seed: number, gesture: string): Edit {
  for (let attempt = 0; attempt < TRIES; attempt++) {
    const edit = rolled(before, part, seed * TRIES + attempt, seed, gesture);
    const { problems, parts } = resolveDesign(applyEdit(before, edit));
    const copies = parts.map(({ rules }) => rules.reduce((product, { prepared }) => product * prepared.copies, 1));
    if (problems.length === 0 && copies.every((count) => count <= MOST_COPIES)) return edit;
  }
  return { label: `surprise ${seed}`, gesture, apply: () => undefined };
}

function rolled(before: Design, part: string | null, seed: number, shown: number, gesture: string): Edit {
  const random = randomFrom(seed);
  const ranged = before.numbers.some(isRanged);
  return {
    label: `surprise ${shown}`,
    gesture,
    apply(draft) {
      // What an earlier throw of the same gesture has set is set anew.
      if (ranged) {
        draft.numbers = castDraft(
          before.numbers.map((number) => (isRanged(number) ? rollNamed(number, random) : number)),
        );
        return;
      }
      const index = before.parts.findIndex(({ id }) => id === part);
      const [source, target] = [before.parts[index], draft.parts.find(({ id }) => id === part)];
      if (!source || !target) return;
      target.motif = castDraft(rollFields(source.motif, motifOf(source.motif.kind)?.fields ?? {}, random));
      target.rules = castDraft(source.rules.map((rule) => rollFields(rule, ruleOf(rule.kind)?.fields ?? {}, random)));
    },
  };
}

type Ranged = NamedNumber & { readonly value: number; readonly min: number; readonly max: number };

function isRanged(number: NamedNumber): number is Ranged {
  return typeof number.value === "number" && number.min !== undefined && number.max !== undefined;
}

function rollNamed(number: Ranged, random: () => number): NamedNumber {
  const step = stepOf(number);
  const steps = Math.floor((number.max - number.min) / step + 1e-9);
  return { ...number, value: Number((number.min + Math.floor(random() * (steps + 1)) * step).toFixed(6)) };
}

function rollFields<S extends StoredFields>(stored: S, fields: FieldTable, random: () => number): S {
  const next: S = { ...stored };
  for (const [name, field] of Object.entries(fields)) {
    const value = stored[name];
    const thrown =
      field.type === "number" && (value === undefined || typeof value === "number")
        ? rollValue(value ?? field.default, field, random)
        : field.type === "following" && typeof value === "number"
          ? rollValue(value, field, random)
          : field.type === "pair" && isPair(value) && typeof value.x === "number" && typeof value.y === "number"
            ? { x: rollValue(value.x, field, random), y: rollValue(value.y, field, random) }
            : field.type === "pair" && typeof value === "number"
              ? rollValue(value, field, random)
              : value;
    if (thrown !== undefined && thrown !== value) Reflect.set(next, name, thrown);
  }
  return next;
}

type Numeric = Extract<Field, { type: "number" | "following" | "pair" }>;

/** From half to half again; what is 0 stays 0. */
function rollValue(value: number, { min, max, whole }: Numeric, random: () => number): number {
  if (value === 0) return 0;
  const next = value * (0.5 + random());
  const bounded = Math.min(max, Math.max(min, whole ? Math.round(next) : Number(next.toPrecision(3))));
  return whole ? Math.round(bounded) : bounded;
}
