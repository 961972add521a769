import { boxOfMesh } from "../../form/mesh";
import { defineCheck } from "./definition";

/** Whether it stays within the bed's width and depth and the height above it, where it stands. */
export const fits = defineCheck({
  kind: "fits",
  check({ whole, making: { frame } }) {
    const box = boxOfMesh(whole) ?? { min: [0, 0, 0], max: [0, 0, 0] };
    const limits = [
      { low: -frame.width / 2, high: frame.width / 2 },
      { low: -frame.depth / 2, high: frame.depth / 2 },
      { low: -Infinity, high: frame.height },
    ];
    const beyond = limits.map(({ low, high }, axis) =>
      Math.max(0, low - (box.min[axis] ?? 0), (box.max[axis] ?? 0) - high),
    );
    const most = Math.max(...beyond);
    const size = limits.map((_, axis) => (box.max[axis] ?? 0) - (box.min[axis] ?? 0));
    const [width = 0, depth = 0, height = 0] = size;
    const isWithin = most <= 1e-3;
    const corner = { x: box.max[0] ?? 0, y: box.max[1] ?? 0, z: box.max[2] ?? 0 };
    return {
      state: isWithin ? "passed" : "failed",
      figures: { width, depth, height, beyond: most },
      places: isWithin ? [] : [corner],
    };
  },
});
