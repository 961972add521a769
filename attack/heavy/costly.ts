import { grid, heavyCase, OUTLINED, part, SHADED, rings, STAR, type HeavyCase } from "./heavyCase";

const gradient = {
  kind: "linear",
  angle: 30,
  stops: [
    { at: 0, color: "#112233" },
    { at: 1, color: "#AABBCC" },
  ],
  over: "copy",
};

/** Designs that would cost more than anybody has, each in another way: refused in words, or done in time. */
export const COSTLY: readonly HeavyCase[] = [
  heavyCase("merge of 20,000 overlapping discs in a grid", [
    part("a", { rules: grid(200, 100, 1.5), join: { mode: "merge" } }),
  ]),
  heavyCase("merge of 20,000 overlapping discs in rings", [
    part("a", { rules: rings(400, 50), join: { mode: "merge" } }),
  ]),
  heavyCase("merge of 20,000 discs in one place", [
    part("a", { rules: grid(200, 100, 0.001), join: { mode: "merge" } }),
  ]),
  heavyCase("even-odd of 2,000 overlapping discs", [part("a", { rules: grid(50, 40, 1), join: { mode: "evenOdd" } })]),
  heavyCase("even-odd of 20,000 overlapping discs", [
    part("a", { rules: grid(200, 100, 1), join: { mode: "evenOdd" } }),
  ]),
  heavyCase("faces of 1,500 overlapping discs", [part("a", { rules: grid(50, 30, 1), join: { mode: "faces" } })]),
  heavyCase("faces of 1,500 rings", [part("a", { rules: rings(100, 15), join: { mode: "faces" } })]),
  heavyCase("faces of 300 stars of 1,000 points", [
    part("a", { motif: STAR, rules: grid(20, 15, 1), join: { mode: "faces" } }),
  ]),
  heavyCase("weave of 600 rings", [
    part("a", { motif: { kind: "ring", outer: 20, inner: 18 }, rules: grid(30, 20, 1.5), join: { mode: "weave" } }),
  ]),
  heavyCase("200,000 copies cut by one", [
    part("c", { role: "tool" }),
    part("a", { rules: grid(500, 400, 0.5), join: { cutBy: ["c"] } }),
  ]),
  heavyCase("one cut by 200,000", [
    part("c", { rules: grid(500, 400, 0.5), role: "tool" }),
    part("a", { rules: [], join: { cutBy: ["c"] } }),
  ]),
  heavyCase("200,000 cut by 200,000", [
    part("c", { rules: grid(500, 400, 0.5), role: "tool" }),
    part("a", { rules: grid(500, 400, 0.5), join: { cutBy: ["c"] } }),
  ]),
  heavyCase("doubled lines of 20,000 discs", [
    part("a", { rules: grid(200, 100, 1), join: { dropDoubled: true }, finish: OUTLINED }),
  ]),
  heavyCase("50 outlines beside 200,000 apart", [
    part("a", { rules: grid(500, 400, 0.5), join: { offset: { by: 1, times: 50 } } }),
  ]),
  heavyCase("50 outlines beside 2,000 merged", [
    part("a", { rules: grid(50, 40, 10), join: { mode: "merge", offset: { by: 1, times: 50 } } }),
  ]),
  heavyCase("between of 10,000", [
    part("a", { rules: [{ kind: "between", to: { kind: "star", points: 300, outer: 50, inner: 10 }, count: 10000 }] }),
  ]),
  heavyCase("between of 10,000 stars", [
    part("a", { motif: STAR, rules: [{ kind: "between", to: { ...STAR, outer: 40 }, count: 10000 }] }),
  ]),
  heavyCase("gradients on 200,000 as PDF", [part("a", { rules: grid(500, 400, 0.5), finish: { fill: gradient } })], {
    as: ["pdf"],
  }),
  heavyCase("stars of 1,000 points, 200,000 as PDF", [part("a", { motif: STAR, rules: grid(500, 400, 0.5) })], {
    as: ["pdf"],
  }),
  heavyCase("stars of 1,000 points, 200,000 as DXF", [part("a", { motif: STAR, rules: grid(500, 400, 0.5) })], {
    as: ["dxf"],
  }),
  heavyCase("stars of 1,000 points, 200,000 as cut", [part("a", { motif: STAR, rules: grid(500, 400, 0.5) })], {
    as: ["cut.svg"],
  }),
  heavyCase("discs, 200,000 sewn", [part("a", { rules: grid(500, 400, 0.5) })], { as: ["stitch.json"] }),
  heavyCase(
    "discs, 200,000 as solids",
    [part("a", { rules: grid(500, 400, 0.5), solid: { form: "prism", depth: 3 } })],
    { as: ["stl"] },
  ),
  heavyCase("bent along, 200,000", [
    part("p", { motif: { kind: "disc", radius: 100 }, role: "tool" }),
    part("a", { motif: STAR, rules: [{ kind: "along", path: "p", count: 200000, bend: true }] }),
  ]),
  heavyCase("varied, 200,000", [
    part("a", { rules: [...grid(500, 400, 0.5), { kind: "vary", turn: "i * 3 + sin(i)", size: "1 + 0.1 * sin(i)" }] }),
  ]),
  heavyCase(
    "500 parts of 200,000",
    Array.from({ length: 500 }, (_, k) => part(`p${k}`, { rules: grid(500, 400, 0.5) })),
  ),
  heavyCase(
    "500 parts of 2,000 merged",
    Array.from({ length: 500 }, (_, k) => part(`p${k}`, { rules: grid(50, 40, 4), join: { mode: "merge" } })),
  ),
  heavyCase(
    "16,384 pixels with shadow and grain",
    [
      part("a", {
        motif: { kind: "disc", radius: 150 },
        finish: SHADED,
      }),
    ],
    { as: ["png"], dpi: 1040 },
  ),
  heavyCase(
    "grain on a sheet of 100 m",
    [
      part("a", {
        motif: { kind: "disc", radius: 4000 },
        finish: { fill: "#224466", grain: { amount: 0.5, size: 0.3 } },
      }),
    ],
    { as: ["svg", "pdf"], sheet: { width: 100000, height: 100000 } },
  ),
  heavyCase(
    "facets on a sheet of 100 m",
    [
      part("a", {
        motif: { kind: "disc", radius: 9000 },
        finish: { fill: "#224466", texture: { kind: "facets", size: 1, strength: 0.5 } },
      }),
    ],
    { sheet: { width: 100000, height: 100000 } },
  ),
  heavyCase("fine dots round 200,000", [
    part("a", { rules: grid(500, 400, 0.5), finish: { fill: null, line: { width: 0.1, dots: { gap: 0.05 } } } }),
  ]),
  heavyCase(
    "fine dashes round 200,000 as PDF",
    [part("a", { rules: grid(500, 400, 0.5), finish: { fill: null, line: { width: 0.1, dash: [0.01, 0.01] } } })],
    { as: ["pdf"] },
  ),
  heavyCase("scatter of 200,000 off each other", [
    part("a", { rules: [{ kind: "scatter", gap: 0.2, count: 200000 }] }),
  ]),
  heavyCase("scatter whole within, off 20,000", [
    part("w", { motif: { kind: "disc", radius: 1 }, rules: grid(200, 100, 2) }),
    part("a", {
      motif: { kind: "disc", radius: 0.3 },
      rules: [{ kind: "scatter", gap: 0.7, count: 100000, avoid: ["w"], keeping: "whole", within: "whole" }],
    }),
  ]),
  heavyCase("a star of 1,000 points trimmed in 1,000", [
    part("a", { motif: STAR, rules: [{ kind: "turn", count: 1000 }], join: { trimToWedge: true } }),
  ]),
];
