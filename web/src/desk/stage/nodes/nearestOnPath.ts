import { pointAt, segmentsOfRun, type DrawnPath, type Point, type SegmentPlace } from "@twin-petal/core";

const SAMPLES = 32;

/** The place on a drawn outline nearest to a point: the segment, the parameter on it, and how far it is. */
export function nearestOnPath(
  paths: readonly DrawnPath[],
  point: Point,
): { place: SegmentPlace; t: number; distance: number } | null {
  let best: { place: SegmentPlace; t: number; distance: number } | null = null;
  paths.forEach((path, run) => {
    segmentsOfRun(path).forEach((cubic, segment) => {
      const far = (t: number) => {
        const at = pointAt(cubic, t);
        return Math.hypot(at.x - point.x, at.y - point.y);
      };
      let t = 0;
      for (let k = 1; k <= SAMPLES; k++) if (far(k / SAMPLES) < far(t)) t = k / SAMPLES;
      // Halving steps around the best sample.
      for (let step = 1 / SAMPLES; step > 1e-6; step /= 2) {
        for (const tried of [t - step, t + step]) if (tried >= 0 && tried <= 1 && far(tried) < far(t)) t = tried;
      }
      const distance = far(t);
      if (!best || distance < best.distance) best = { place: { run, segment }, t, distance };
    });
  });
  return best;
}
