import { readDesign, type Design } from "@twin-petal/core";

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
