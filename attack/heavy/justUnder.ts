import { grid, heavyCase, OUTLINED, part, SHADED, rings, STAR, type HeavyCase } from "./heavyCase";

const DOTTED = { fill: null, line: { width: 0.3, dots: { gap: 0.3 } } };

/** Designs just within the limits, each of another one: they are made, in the time and the memory there is. */
export const JUST_UNDER: readonly HeavyCase[] = [
  heavyCase("merge of 20,000 discs that overlap", [part("a", { rules: grid(200, 100, 8), join: { mode: "merge" } })]),
  heavyCase("merge of rings of discs", [part("a", { rules: rings(130, 20), join: { mode: "merge" } })]),
  heavyCase("even-odd of 1,500 discs", [part("a", { rules: grid(50, 30, 2), join: { mode: "evenOdd" } })]),
  heavyCase("faces of 1,120 discs", [part("a", { rules: grid(40, 28, 4), join: { mode: "faces" } })]),
  heavyCase("weave of rings", [
    part("a", { motif: { kind: "ring", outer: 20, inner: 18 }, rules: grid(7, 6, 8), join: { mode: "weave" } }),
  ]),
  heavyCase("1,000 discs drawn once where they lie on each other", [
    part("a", { rules: grid(40, 25, 2.5), join: { dropDoubled: true }, finish: OUTLINED }),
  ]),
  heavyCase("50 outlines beside each of 2,000", [
    part("a", { rules: grid(50, 40, 10), join: { mode: "merge", offset: { by: 1, times: 50 } } }),
  ]),
  heavyCase("1,400 stars on the way to another", [
    part("a", { motif: STAR, rules: [{ kind: "between", to: { ...STAR, outer: 40 }, count: 1400 }] }),
  ]),
  heavyCase("bent along a circle", [
    part("p", { motif: { kind: "disc", radius: 100 }, role: "tool" }),
    part("a", { rules: [{ kind: "along", path: "p", count: 20000, bend: true }] }),
  ]),
  heavyCase("200,000 discs as a picture", [part("a", { rules: grid(500, 400, 0.8) })], { as: ["png"], dpi: 150 }),
  heavyCase("110,000 discs as PDF", [part("a", { rules: grid(320, 340, 1) })], { as: ["pdf"] }),
  heavyCase(
    "two parts of 200,000 in many colours",
    ["a", "b"].map((id) =>
      part(id, {
        rules: grid(500, 400, 0.8),
        finish: { fill: { kind: "cycle", colors: ["#123456", "#ABCDEF"], by: "index" } },
      }),
    ),
  ),
  heavyCase("stars of 1,000 points", [part("a", { motif: STAR, rules: grid(70, 70, 6) })]),
  heavyCase("stars of 1,000 points as PDF", [part("a", { motif: STAR, rules: grid(26, 25, 15) })], { as: ["pdf"] }),
  heavyCase("dots round 20,000 discs", [part("a", { rules: grid(200, 100, 3), finish: DOTTED })]),
  heavyCase(
    "dots round 1,600 discs as PDF",
    [part("a", { rules: grid(40, 40, 8), finish: { ...DOTTED, line: { width: 0.3, dots: { gap: 0.3 } } } })],
    { as: ["pdf"] },
  ),
  heavyCase("a picture of 98 million pixels", [part("a", { motif: { kind: "disc", radius: 150 } })], {
    as: ["png"],
    dpi: 625,
  }),
  heavyCase(
    "shadow and grain in 20 million pixels",
    [
      part("a", {
        motif: { kind: "disc", radius: 150 },
        finish: SHADED,
      }),
    ],
    { as: ["png"], dpi: 290 },
  ),
  heavyCase("5,000 holes cut", [part("a", { motif: { kind: "disc", radius: 1 }, rules: grid(80, 62, 4) })], {
    as: ["dxf"],
  }),
  heavyCase("12,000 discs sewn", [part("a", { motif: { kind: "disc", radius: 1 }, rules: grid(120, 100, 3) })], {
    as: ["stitch.json"],
  }),
  heavyCase(
    "7,800 prisms",
    [
      part("a", {
        motif: { kind: "polygon", sides: 6, radius: 1 },
        rules: grid(100, 78, 3),
        solid: { form: "prism", depth: 3 },
      }),
    ],
    { as: ["stl"] },
  ),
];
