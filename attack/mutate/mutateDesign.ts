import { MOTIFS } from "../../core/src/motif/list";
import { RULES } from "../../core/src/rules/list";
import { oddValue } from "./oddValues";
import { pick, upTo, type Random } from "./pick";

type Json = Record<string, unknown> | unknown[];

/** A place in a design: an object or a list, and the key there. */
interface Slot {
  readonly holder: Json;
  readonly key: string | number;
}

/** A design in which a few things are not as they were. */
export function mutatedDesign(seeds: readonly object[], random: Random): string {
  const design: unknown = structuredClone(pick(seeds, random));
  const changes = random() < 0.6 ? 1 : 1 + upTo(4, random);
  for (let change = 0; change < changes; change++) {
    const slots = slotsOf(design);
    if (slots.length > 0) pick(CHANGES, random)(pick(slots, random), { slots, seeds, random });
  }
  const text = JSON.stringify(design);
  return random() < 0.1 ? damaged(text, random) : text;
}

function slotsOf(data: unknown): Slot[] {
  if (!isJson(data)) return [];
  const own = Array.isArray(data)
    ? data.map((_, key): Slot => ({ holder: data, key }))
    : Object.keys(data).map((key): Slot => ({ holder: data, key }));
  return own.flatMap((slot) => [slot, ...slotsOf(valueAt(slot))]);
}

function isJson(data: unknown): data is Json {
  return typeof data === "object" && data !== null;
}

function valueAt({ holder, key }: Slot): unknown {
  return Array.isArray(holder) ? holder[Number(key)] : holder[String(key)];
}

function set({ holder, key }: Slot, value: unknown): void {
  if (Array.isArray(holder)) holder[Number(key)] = value;
  else holder[String(key)] = value;
}

interface Around {
  readonly slots: readonly Slot[];
  readonly seeds: readonly object[];
  readonly random: Random;
}

type Change = (slot: Slot, around: Around) => void;

const toOdd: Change = (slot, { random }) => set(slot, oddValue(random));

/** Something of the design in another place of it. */
const toAnother: Change = (slot, { slots, random }) => set(slot, structuredClone(valueAt(pick(slots, random))));

/** Something of another design, of the same name where there is one. */
const toAnothers: Change = (slot, { seeds, random }) => {
  const others = slotsOf(pick(seeds, random));
  const alike = others.filter(({ key }) => key === slot.key);
  const from = alike.length > 0 ? alike : others;
  if (from.length > 0) set(slot, structuredClone(valueAt(pick(from, random))));
};

const removed: Change = ({ holder, key }) => {
  if (Array.isArray(holder)) holder.splice(Number(key), 1);
  else delete holder[String(key)];
};

const added: Change = (slot, { random }) => {
  const value = valueAt(slot);
  if (Array.isArray(value)) value.push(structuredClone(value[0] ?? oddValue(random)));
  else if (isJson(value)) set({ holder: value, key: pick(NAMES, random) }, oddValue(random));
};

/** Entries again and again. */
const multiplied: Change = (slot, { random }) => {
  const value = valueAt(slot);
  if (!Array.isArray(value) || value.length === 0) return;
  const times = 10 ** upTo(4, random);
  for (let k = 0; k < times; k++) value.push(structuredClone(value[k % value.length]));
};

/** Another kind of motif or rule with the fields of the one before. */
const ofAnotherKind: Change = (slot, { slots, random }) => {
  const kinds = slots.filter(({ key }) => key === "kind");
  if (kinds.length === 0) return toOdd(slot, { slots, seeds: [], random });
  set(pick(kinds, random), pick([...MOTIFS, ...RULES], random).kind);
};

/** A rule or a motif of any kind with one of its fields set. */
const ofAnyKind: Change = (_, { slots, random }) => {
  const lists = slots.filter((slot) => slot.key === "rules" && Array.isArray(valueAt(slot)));
  const definition = pick(RULES, random);
  const fields = Object.keys(definition.fields);
  const rule = {
    kind: definition.kind,
    ...definition.first,
    ...(fields.length > 0 && { [pick(fields, random)]: oddValue(random) }),
  };
  const list = lists.length > 0 ? valueAt(pick(lists, random)) : null;
  if (Array.isArray(list)) list.push(rule);
};

/** A field of any table, in any object. */
const withAField: Change = (slot, { random }) => {
  const value = valueAt(slot);
  if (isJson(value) && !Array.isArray(value))
    value[pick(NAMES, random)] = pick([() => oddValue(random), () => pick(SETTINGS, random)], random)();
};

const CHANGES: readonly Change[] = [
  toOdd,
  toOdd,
  toOdd,
  toOdd,
  toAnother,
  toAnothers,
  toAnothers,
  removed,
  added,
  multiplied,
  ofAnotherKind,
  ofAnyKind,
  withAField,
  withAField,
];

const NAMES = [
  ...new Set([...MOTIFS, ...RULES].flatMap(({ fields }) => Object.keys(fields))),
  ...[
    "join",
    "finish",
    "fill",
    "line",
    "opacity",
    "blend",
    "grain",
    "shadow",
    "texture",
    "solid",
    "stitch",
    "cut",
    "cutBy",
    "inside",
    "with",
    "offset",
    "dash",
    "swell",
    "dots",
    "place",
    "group",
    "role",
    "at",
    "size",
    "oneEach",
    "cutouts",
    "standsBy",
    "making",
    "groups",
    "guides",
    "numbers",
    "palette",
    "ground",
    "__proto__",
    "constructor",
    "toString",
  ],
];

/** Settings that ask for another way of computing. */
const SETTINGS: readonly unknown[] = [
  { mode: "merge" },
  { mode: "evenOdd" },
  { mode: "faces" },
  { mode: "weave", gap: 0.5 },
  { mode: "merge", offset: { by: 2, times: 3 } },
  { mode: "apart", dropDoubled: true },
  { mode: "apart", inside: "sheet" },
  { trimToWedge: true, mode: "faces" },
  { fill: null, line: { width: 1, dash: [1, 2] } },
  { fill: "#112233", line: { width: 2, place: "inside", dots: { gap: 1 } } },
  {
    fill: {
      kind: "linear",
      angle: 20,
      stops: [
        { at: 0, color: "#000000" },
        { at: 1, color: "#FFFFFF" },
      ],
      over: "whole",
    },
  },
  {
    fill: { kind: "cycle", colors: ["#000000", "#FFFFFF"], by: "ring" },
    line: {
      width: 1,
      swell: [
        { at: 0, width: 0 },
        { at: 1, width: 3 },
      ],
    },
  },
  { amount: 0.5, size: 0.3 },
  { color: "#000000", x: 1, y: 1, blur: 2 },
  { kind: "facets", size: 3, strength: 0.5 },
  { form: "prism", depth: 5 },
  { form: "revolve" },
  { form: "dome", depth: 3, lift: "rest" },
  { form: "prism", depth: 2, role: "cutter" },
  { fill: { angle: 30 }, line: { kind: "satin" }, underlay: "zigzag" },
  { as: "engrave" },
  { as: "score" },
  "none",
];

/** A text with a piece missing, doubled or exchanged. */
function damaged(text: string, random: Random): string {
  const [from, length] = [upTo(text.length, random), 1 + upTo(20, random)];
  const [before, piece, after] = [text.slice(0, from), text.slice(from, from + length), text.slice(from + length)];
  return pick(
    [
      before,
      before + after,
      before + piece + piece + after,
      `${before}\u0000${after}`,
      before + pick(["[", "]", "{", "}", '"', ",", ":", "9"], random) + after,
    ],
    random,
  );
}
