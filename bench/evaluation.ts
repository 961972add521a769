import { matrixAt, multiply, rotation, SceneBuilder, translation, type Design, type Matrix } from "@twin-petal/core";
import { COUNTS, rosettes } from "./designs";
import { ROUNDS, sideBySide, WARM_UP } from "./sideBySide";
import type { Group } from "./group";
import type { Row } from "./row";

export const evaluation: Group = {
  name: "evaluation",
  about:
    "A whole design from nothing, beside a bare loop of the same matrix products, checked to give the same copies. Both sides run in before anything is timed.",
  folders: ["core/src/rules", "core/src/scene", "core/src/design", "core/src/fields", "core/src/formula"],
  quick: true,
  measure: () => benchEvaluation(COUNTS),
};

/** Evaluation of a whole design from nothing, beside a bare loop of the same matrix products. */
function benchEvaluation(counts: readonly number[]): Row[] {
  const rows = counts.map((count): Row => {
    // What a design's own objects come to is remembered by them: each round has a design of its own, read anew.
    const designs = Array.from({ length: ROUNDS + WARM_UP }, () => rosettes(count));
    const [measured, yardstick] = sideBySide(
      () => new SceneBuilder().build(designs.pop() ?? rosettes(count)),
      () => bareProducts(count),
    );
    checkSame(rosettes(count), count);
    return { what: `evaluate ${count.toLocaleString("en")} copies`, measured, yardstick, unit: "ms", limit: 2 };
  });
  return [...rows, ...growth(rows, counts)];
}

/** Ten times the copies may take ten times as long, not more. */
function growth(rows: readonly Row[], counts: readonly number[]): Row[] {
  return rows.slice(1).map((row, index) => ({
    what: `growth from ${counts[index]?.toLocaleString("en")} to ${counts[index + 1]?.toLocaleString("en")}`,
    measured: row.measured / (rows[index]?.measured ?? NaN),
    yardstick: (counts[index + 1] ?? NaN) / (counts[index] ?? NaN),
    unit: "×",
    limit: 1,
  }));
}

/** The same products as the design's two rules, with nothing around them. */
function bareProducts(count: number): Float64Array {
  const inner = Array.from({ length: 10 }, (_, j) => rotation(36 * j));
  const onRing = count / 100;
  const result = new Float64Array(6 * count);
  let at = 0;
  for (let ring = 0; ring < 10; ring++) {
    for (let j = 0; j < onRing; j++) {
      const angle = (360 * j) / onRing;
      const radians = (angle * Math.PI) / 180;
      const radius = 20 + 18 * ring;
      const [a, b, c, d, e, f] = multiply(
        translation(radius * Math.sin(radians), -radius * Math.cos(radians)),
        rotation(angle),
      );
      for (const [g, h, i, k, l, m] of inner) {
        result[at++] = a * g + c * h;
        result[at++] = b * g + d * h;
        result[at++] = a * i + c * k;
        result[at++] = b * i + d * k;
        result[at++] = a * l + c * m + e;
        result[at++] = b * l + d * m + f;
      }
    }
  }
  return result;
}

/** The yardstick is only one if it computes the same copies. */
function checkSame(design: Design, count: number): void {
  const [part] = new SceneBuilder().build(design).parts;
  const bare = bareProducts(count);
  const matrices = part?.geometry.placements.matrices ?? new Float64Array();
  const differs = (copy: number) => {
    const [mine, theirs]: readonly Matrix[] = [matrixAt(matrices, copy), matrixAt(bare, copy)];
    return mine?.some((entry, place) => Math.abs(entry - (theirs?.[place] ?? NaN)) > 1e-9) ?? true;
  };
  if (matrices.length !== bare.length || [0, 7, count - 1].some(differs))
    throw new Error("the yardstick computes other copies");
}
