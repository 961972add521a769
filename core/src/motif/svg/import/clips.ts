import { isStraight } from "../../../geometry/cubic";
import { multiply, type Matrix } from "../../../geometry/matrix";
import { boxOfPath, segmentsOf, transformPath, type Path } from "../../../geometry/path";
import type { Importing } from "./importing";
import { elementPath, type Viewport } from "./elementPath";
import { transformOf } from "./transforms";

/** An area shapes are kept within, millimetres. */
export interface Clip {
  /** The area outside which nothing is seen. */
  readonly path: Path;
  /** Whether it is an upright rectangle, so that its box says all. */
  readonly upright: boolean;
}

/** The area of a clipPath; null where it cannot be read as one. */
export function clipOf(id: string, toSheet: Matrix, viewport: Viewport, { ids, leftOut }: Importing): Clip | null {
  const element = ids.get(id);
  if (!element || element.name !== "clipPath") return null;
  if (element.attributes.get("clipPathUnits") === "objectBoundingBox") {
    leftOut.note("a clip in shares of its shape");
    return null;
  }
  const own = multiply(toSheet, transformOf(element.attributes.get("transform")));
  const path = element.children.flatMap((child) =>
    transformPath(elementPath(child, viewport) ?? [], multiply(own, transformOf(child.attributes.get("transform")))),
  );
  if (path.length === 0) {
    leftOut.note("a clip");
    return null;
  }
  return { path, upright: isUpright(path) };
}

function isUpright(path: Path): boolean {
  const [only, ...others] = path;
  if (!only || others.length > 0) return false;
  const segments = segmentsOf(only).filter(([start, , , end]) => Math.hypot(end.x - start.x, end.y - start.y) > 1e-9);
  return (
    segments.length <= 4 &&
    segments.every(
      (segment) =>
        isStraight(segment) &&
        (Math.abs(segment[0].x - segment[3].x) < 1e-6 || Math.abs(segment[0].y - segment[3].y) < 1e-6),
    )
  );
}

/** Whether a path lies inside every clip, outside one, or is cut. */
export function insideClip(path: Path, clips: readonly Clip[]): "inside" | "outside" | "cut" {
  const box = boxOfPath(path);
  let cut = false;
  for (const { path: area, upright } of clips) {
    const limits = boxOfPath(area);
    const apart =
      box.right < limits.left || box.left > limits.right || box.bottom < limits.top || box.top > limits.bottom;
    if (apart) return "outside";
    const within =
      box.left >= limits.left - 1e-6 &&
      box.right <= limits.right + 1e-6 &&
      box.top >= limits.top - 1e-6 &&
      box.bottom <= limits.bottom + 1e-6;
    if (!within || !upright) cut = true;
  }
  return cut ? "cut" : "inside";
}
