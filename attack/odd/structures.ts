import { DISC } from "../heavy/heavyCase";

/** A design's text that is deep, wide or winding, and what it is. */
export interface OddText {
  readonly name: string;
  readonly text: string;
}

const design = (content: object) => JSON.stringify({ format: "twin-petal/1", ...content });
const disc = (id: string, more: object = {}) => ({ id, motif: DISC, ...more });
const times = <T>(count: number, entry: (index: number) => T): T[] => Array.from({ length: count }, (_, k) => entry(k));

/** Layers of two parts, each of which follows both below it. */
const diamonds = (layers: number, follow: (below: readonly string[]) => object) =>
  times(layers, (layer) =>
    ["l", "r"].map((side) => disc(`${side}${layer}`, layer === 0 ? {} : follow([`l${layer - 1}`, `r${layer - 1}`]))),
  ).flat();

const one = (motif: object, more: object = {}) => design({ parts: [{ id: "a", motif, ...more }] });
const formula = (value: string) => one({ kind: "disc", radius: value });
const within = (depth: number, inner: object, around: (inner: object) => object): object =>
  depth === 0 ? inner : within(depth - 1, around(inner), around);

/** Everything that is deep, wide or winding. */
export const STRUCTURES: readonly OddText[] = [
  { name: "diamonds of cutBy", text: design({ parts: diamonds(30, (below) => ({ join: { cutBy: below } })) }) },
  { name: "diamonds of inside", text: design({ parts: diamonds(30, ([below]) => ({ join: { inside: below } })) }) },
  {
    name: "diamonds of with",
    text: design({ parts: diamonds(30, (below) => ({ join: { mode: "merge", with: below } })) }),
  },
  {
    name: "diamonds of compounds of parts",
    text: design({
      parts: diamonds(30, (below) => ({
        motif: { kind: "compound", op: "union", of: below.map((part) => ({ kind: "part", part })) },
      })),
    }),
  },
  {
    name: "diamonds of parts repeated",
    text: design({
      parts: diamonds(30, ([below]) => ({ motif: { kind: "part", part: below }, rules: [{ kind: "turn", count: 2 }] })),
    }),
  },
  {
    name: "diamonds of between",
    text: design({
      parts: diamonds(30, ([below, other]) => ({
        motif: { kind: "part", part: below },
        rules: [{ kind: "between", to: { kind: "part", part: other }, count: 2 }],
      })),
    }),
  },
  {
    name: "diamonds of avoid",
    text: design({
      parts: diamonds(20, (below) => ({
        rules: [{ kind: "scatter", region: "sheet", gap: 5, count: 20, avoid: below, keeping: "whole" }],
      })),
    }),
  },
  {
    name: "a part of a part, 400 deep",
    text: design({
      parts: times(400, (k) => (k === 0 ? disc("p0") : disc(`p${k}`, { motif: { kind: "part", part: `p${k - 1}` } }))),
    }),
  },
  {
    name: "a part of ten of a part, 12 deep",
    text: design({
      parts: times(12, (k) =>
        k === 0
          ? disc("p0")
          : { id: `p${k}`, motif: { kind: "part", part: `p${k - 1}` }, rules: [{ kind: "turn", count: 10 }] },
      ),
    }),
  },
  {
    name: "parts in a circle",
    text: design({ parts: times(300, (k) => disc(`p${k}`, { motif: { kind: "part", part: `p${(k + 1) % 300}` } })) }),
  },
  {
    name: "parts that all follow each other",
    text: design({
      parts: times(300, (k) => disc(`p${k}`, { join: { cutBy: times(50, (j) => `p${(k + j + 1) % 300}`) } })),
    }),
  },
  {
    name: "walks of repeats of nothing",
    text: one({
      kind: "walk",
      steps: [within(3, { times: 10000, steps: [] }, (inner) => ({ times: 10000, steps: [inner] }))],
    }),
  },
  {
    name: "walks of repeats of going",
    text: one({ kind: "walk", steps: [within(3, { go: 1 }, (inner) => ({ times: 10000, steps: [inner] }))] }),
  },
  { name: "a walk of 100,000 steps", text: one({ kind: "walk", steps: times(100_000, () => ({ go: 1 })) }) },
  {
    name: "compounds 40 deep",
    text: one(within(40, DISC, (inner) => ({ kind: "compound", op: "union", of: [inner] }))),
  },
  {
    name: "compounds of twenty, four deep",
    text: one(within(4, DISC, (inner) => ({ kind: "compound", op: "union", of: times(20, () => inner) }))),
  },
  {
    name: "a chain of 5,000 numbers",
    text: design({
      numbers: times(5000, (k) => ({ name: `n${k}`, value: k === 4999 ? 1 : `n${k + 1} + 1` })),
      parts: [disc("a")],
    }),
  },
  {
    name: "a chain of 500 numbers",
    text: design({
      numbers: times(500, (k) => ({ name: `n${k}`, value: k === 499 ? 1 : `n${k + 1} + 1` })),
      parts: [disc("a")],
    }),
  },
  {
    name: "a circle of 500 numbers",
    text: design({
      numbers: times(500, (k) => ({ name: `n${k}`, value: `n${(k + 1) % 500} + 1` })),
      parts: [disc("a")],
    }),
  },
  {
    name: "numbers that need all before them",
    text: design({
      numbers: times(500, (k) => ({
        name: `n${k}`,
        value: k === 0 ? 1 : `${times(Math.min(k, 300), (j) => `n${k - 1 - j}`).join("+")}`,
      })),
      parts: [disc("a")],
    }),
  },
  { name: "a formula of 9,000 terms", text: formula(times(9000, () => "1").join("+")) },
  { name: "a formula of 3,000 brackets", text: formula(`${"(".repeat(3000)}1${")".repeat(3000)}`) },
  { name: "a formula of 3,000 signs", text: formula(`${"-".repeat(3000)}1`) },
  { name: "a formula of 3,000 powers", text: formula(times(3000, () => "1").join("^")) },
  { name: "the least of 150,000", text: formula(`min(${times(150_000, () => "1").join(",")})`) },
  { name: "a million blanks", text: formula(`${" ".repeat(1_000_000)}1`) },
  { name: "a million digits", text: formula("9".repeat(1_000_000)) },
  {
    name: "vary with a long formula",
    text: one(DISC, {
      rules: [
        { kind: "turn", count: 5 },
        { kind: "vary", turn: times(9000, () => "i").join("+") },
      ],
    }),
  },
  { name: "100,000 empty parts", text: design({ parts: times(100_000, () => ({})) }) },
  { name: "100,000 right parts", text: design({ parts: times(100_000, (k) => disc(`p${k}`)) }) },
  { name: "100,000 empty guides", text: design({ guides: times(100_000, () => ({})), parts: [] }) },
  { name: "100,000 empty numbers", text: design({ numbers: times(100_000, () => ({})), parts: [] }) },
  { name: "100,000 empty colours", text: design({ palette: times(100_000, () => ({})), parts: [] }) },
  { name: "100,000 empty groups", text: design({ groups: times(100_000, () => ({})), parts: [] }) },
  { name: "100,000 empty rules", text: one(DISC, { rules: times(100_000, () => ({})) }) },
  {
    name: "100,000 empty nodes",
    text: one({ kind: "drawn", paths: [{ closed: true, nodes: times(100_000, () => ({})) }] }),
  },
  { name: "100,000 empty strokes", text: one({ kind: "freehand", strokes: times(100_000, () => []) }) },
  {
    name: "500 parts of 64 wrong rules",
    text: design({
      parts: times(500, (k) => disc(`p${k}`, { rules: times(64, () => ({ kind: "turn", count: -1, angel: 3 })) })),
    }),
  },
  {
    name: "500 parts of 200 wrong nodes",
    text: design({
      parts: times(500, (k) => ({
        id: `p${k}`,
        motif: { kind: "drawn", paths: [{ closed: true, nodes: times(200, () => ({ x: "bad +", y: {}, z: 1 })) }] },
      })),
    }),
  },
  {
    name: "100,000 unknown fields",
    text: design({ parts: [], ...Object.fromEntries(times(100_000, (k) => [`f${k}`, k])) }),
  },
  {
    name: "100,000 unknown fields of a part",
    text: design({ parts: [disc("a", Object.fromEntries(times(100_000, (k) => [`f${k}`, k])))] }),
  },
  { name: "lists 5,000 deep", text: `{"format":"twin-petal/1","parts":${"[".repeat(5000)}${"]".repeat(5000)}}` },
  {
    name: "lists a million deep",
    text: `{"format":"twin-petal/1","parts":${"[".repeat(1_000_000)}${"]".repeat(1_000_000)}}`,
  },
  { name: "objects 5,000 deep", text: `{"format":"twin-petal/1","parts":${'{"a":'.repeat(5000)}1${"}".repeat(5000)}}` },
  {
    name: "a name of a million letters",
    text: design({ name: "x".repeat(1_000_000), parts: [disc("a", { name: "y".repeat(1_000_000) })] }),
  },
  {
    name: "an id that is inherited",
    text: design({ parts: [disc("constructor"), disc("b", { join: { cutBy: ["__proto__"], inside: "tostring" } })] }),
  },
  {
    name: "keys that are inherited",
    text: `{"format":"twin-petal/1","__proto__":{"parts":[]},"constructor":{},"parts":[]}`,
  },
  {
    name: "lettering that fills its circle backwards",
    text: one({ kind: "text", text: "petal ", size: 10, spacing: -30, on: { radius: 40 }, repeatToFill: true }),
  },
  {
    name: "lettering without end",
    text: one({ kind: "text", text: "i", size: 0.01, spacing: 0, on: { radius: 9000 }, repeatToFill: true }),
  },
  {
    name: "numbers of 1e22 in a path",
    text: one({
      kind: "svg",
      source: { width: 10, height: 10, shapes: [{ d: "M 0 0 L 1e22 1e22 L 5 5 Z", fill: "#000000" }] },
    }),
  },
  {
    name: "a path that is none",
    text: one({
      kind: "svg",
      source: { width: 10, height: 10, shapes: [{ d: "M 0 0 L 5 Z Z 3 M", fill: "#000000" }] },
    }),
  },
  {
    name: "dashes of 1e9",
    text: one(DISC, { finish: { fill: null, line: { width: 1, dash: [1e9, 1e-9], place: "inside" } } }),
  },
  { name: "dashes of nothing", text: one(DISC, { finish: { fill: null, line: { width: 1, dash: [0, 0] } } }) },
  { name: "dots of nothing", text: one(DISC, { finish: { fill: null, line: { width: 0.001, dots: { gap: 0 } } } }) },
  {
    name: "the far away joined with the near",
    text: design({
      parts: [
        disc("b", { role: "tool", at: { x: 9000, y: -9000, size: 1000 } }),
        disc("a", { rules: [{ kind: "step", count: 60, scale: 2 }], join: { mode: "merge", cutBy: ["b"] } }),
      ],
    }),
  },
  { name: "steps that grow beyond numbers", text: one(DISC, { rules: [{ kind: "step", count: 10000, scale: 2 }] }) },
  {
    name: "steps that shrink to nothing",
    text: one(DISC, { rules: [{ kind: "step", count: 10000, scale: 0.5 }], join: { mode: "merge" } }),
  },
  {
    name: "copies that are not finite",
    text: one(DISC, {
      rules: [
        { kind: "turn", count: 5 },
        { kind: "vary", turn: "1/i" },
      ],
    }),
  },
];
