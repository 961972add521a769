import { areaWithin, type Path, type Point } from "@twin-petal/core";

/** Outlines a canvas is given, kept as the core has them. */
class Outline {
  readonly runs: { closed: boolean; coordinates: number[] }[] = [];

  moveTo(x: number, y: number) {
    this.runs.push({ closed: false, coordinates: [x, y] });
  }

  bezierCurveTo(...handles: number[]) {
    this.runs.at(-1)?.coordinates.push(...handles);
  }

  closePath() {
    const run = this.runs.at(-1);
    if (run) run.closed = true;
  }

  get path(): Path {
    return this.runs;
  }
}

/** A canvas that paints nothing and can be asked what lies in an outline, and what near its line. */
class Canvas {
  getContext() {
    const context = {
      lineWidth: 1,
      isPointInPath: (outline: Outline, x: number, y: number) => areaWithin(outline.path).contains({ x, y }),
      isPointInStroke: (outline: Outline, x: number, y: number) =>
        outline.runs.some(({ coordinates }) => distanceTo(coordinates, { x, y }) <= context.lineWidth / 2),
    };
    return context;
  }
}

/** The distance of a point to a run of cubics, by five hundred places on each. */
function distanceTo(coordinates: readonly number[], { x, y }: Point): number {
  let least = Infinity;
  for (let k = 0; k + 7 < coordinates.length; k += 6) {
    const place = (axis: 0 | 1, t: number) =>
      [0, 1, 2, 3].reduce((sum, i) => {
        const weight = [1, 3, 3, 1][i] ?? 0;
        return sum + weight * (1 - t) ** (3 - i) * t ** i * (coordinates[k + 2 * i + axis] ?? 0);
      }, 0);
    for (let step = 0; step <= 500; step++)
      least = Math.min(least, Math.hypot(place(0, step / 500) - x, place(1, step / 500) - y));
  }
  return least;
}

// In place before whatever paints is loaded.
Object.assign(globalThis, { OffscreenCanvas: Canvas, Path2D: Outline });
