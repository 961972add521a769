import { circleSegments } from "../../../geometry/arc";
import { scaling, translation, multiply } from "../../../geometry/matrix";
import { straight, type Cubic } from "../../../geometry/cubic";
import { polygonOf, subpathOf, transformPath, type Path } from "../../../geometry/path";
import type { Point } from "../../../geometry/point";
import { pathOfData } from "../pathOfData";
import { numbersIn, pixelsOfLength } from "./lengths";
import type { XmlElement } from "./xmlTree";

/** The viewport lengths in per cent are taken of, pixels. */
export interface Viewport {
  /** Pixels. */
  readonly width: number;
  /** Pixels. */
  readonly height: number;
}

/** The outline of a basic shape or a path in its own pixels; null for elements that draw none. */
export function elementPath({ name, attributes }: XmlElement, viewport: Viewport): Path | null {
  const diagonal = Math.hypot(viewport.width, viewport.height) / Math.SQRT2;
  const across = (key: string) => pixelsOfLength(attributes.get(key), viewport.width) ?? 0;
  const down = (key: string) => pixelsOfLength(attributes.get(key), viewport.height) ?? 0;
  switch (name) {
    case "path":
      return pathOfData(attributes.get("d") ?? "");
    case "rect":
      return rectangle(
        { x: across("x"), y: down("y") },
        { x: across("width"), y: down("height") },
        pixelsOfLength(attributes.get("rx"), viewport.width),
        pixelsOfLength(attributes.get("ry"), viewport.height),
      );
    case "circle": {
      const radius = pixelsOfLength(attributes.get("r"), diagonal) ?? 0;
      return ellipse(across("cx"), down("cy"), radius, radius);
    }
    case "ellipse": {
      const [rx, ry] = [
        pixelsOfLength(attributes.get("rx"), viewport.width),
        pixelsOfLength(attributes.get("ry"), viewport.height),
      ];
      return ellipse(across("cx"), down("cy"), rx ?? ry ?? 0, ry ?? rx ?? 0);
    }
    case "line":
      return [subpathOf([straight({ x: across("x1"), y: down("y1") }, { x: across("x2"), y: down("y2") })], false)];
    case "polygon":
    case "polyline":
      return pointsPath(numbersIn(attributes.get("points")), name === "polygon");
    default:
      return null;
  }
}

function ellipse(cx: number, cy: number, rx: number, ry: number): Path {
  if (!(rx > 0 && ry > 0)) return [];
  // The standard begins a circle at its rightmost point, as the eight segments do after a quarter turn.
  const unit = [subpathOf(circleSegments(1), true)];
  return transformPath(unit, multiply(translation(cx, cy), multiply(scaling(rx, ry), [0, 1, -1, 0, 0, 0])));
}

function rectangle(at: Point, size: Point, rx: number | null, ry: number | null): Path {
  if (!(size.x > 0 && size.y > 0)) return [];
  const across = Math.min(rx ?? ry ?? 0, size.x / 2);
  const down = Math.min(ry ?? rx ?? 0, size.y / 2);
  const [right, bottom] = [at.x + size.x, at.y + size.y];
  if (!(across > 0 && down > 0)) {
    return [polygonOf([at, { x: right, y: at.y }, { x: right, y: bottom }, { x: at.x, y: bottom }])];
  }
  const arc = (x: number, y: number) => `A${across} ${down} 0 0 1 ${x} ${y}`;
  return pathOfData(
    `M${at.x + across} ${at.y}H${right - across}${arc(right, at.y + down)}V${bottom - down}` +
      `${arc(right - across, bottom)}H${at.x + across}${arc(at.x, bottom - down)}V${at.y + down}${arc(at.x + across, at.y)}Z`,
  );
}

function pointsPath(numbers: readonly number[], closed: boolean): Path {
  const points: Point[] = [];
  for (let k = 0; k + 1 < numbers.length; k += 2) points.push({ x: numbers[k] ?? 0, y: numbers[k + 1] ?? 0 });
  if (points.length < 2) return [];
  if (closed) return [polygonOf(points)];
  return [
    subpathOf(
      points.slice(1).map((end, k): Cubic => straight(points[k] ?? end, end)),
      false,
    ),
  ];
}
