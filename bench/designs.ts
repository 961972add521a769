import { readDesign, type Design } from "@twin-petal/core";

/** How many copies are measured. */
export const COUNTS = [1_000, 10_000, 100_000] as const;

/** A drawn motif of so many nodes, smooth all round, turned and laid on rings: so many copies. */
export function drawnRing(nodes: number, copies: number): Design {
  const wavy = Array.from({ length: nodes }, (_, k) => {
    const angle = (2 * Math.PI * k) / nodes;
    const radius = 16 + 2.5 * Math.sin(9 * angle);
    const handle = { x: 0.18 * Math.cos(angle), y: 0.18 * Math.sin(angle) };
    return {
      x: radius * Math.sin(angle),
      y: -radius * Math.cos(angle),
      in: { x: -handle.x, y: -handle.y },
      out: handle,
      type: "symmetric",
    };
  });
  const { design, problems } = readDesign({
    format: "twin-petal/1",
    name: `Bench ${nodes} nodes`,
    sheet: { width: 400, height: 400 },
    parts: [
      {
        id: "wavy",
        motif: { kind: "drawn", paths: [{ closed: true, nodes: wavy }], at: { size: 0.5 } },
        rules: [{ kind: "ring", count: copies / 10, radius: 30, rings: 10, gap: 16 }],
      },
    ],
  });
  if (!design) throw new Error(JSON.stringify(problems));
  return design;
}

/** A rosette of ten petals laid on rings: so many copies in all. */
export function rosettes(copies: number): Design {
  const { design, problems } = readDesign({
    format: "twin-petal/1",
    name: `Bench ${copies}`,
    sheet: { width: 400, height: 400 },
    parts: [
      {
        id: "petals",
        motif: { kind: "petal", length: 12, width: 5 },
        rules: [
          { kind: "turn", count: 10 },
          { kind: "ring", count: copies / 100, radius: 20, rings: 10, gap: 18 },
        ],
      },
    ],
  });
  if (!design) throw new Error(JSON.stringify(problems));
  return design;
}
