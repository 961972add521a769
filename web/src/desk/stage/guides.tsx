import { polar, type Point, type ResolvedGuide } from "@twin-petal/core";

interface GuidesProps {
  readonly guides: readonly ResolvedGuide[];
  toScreen: (point: Point) => Point;
  readonly reach: number;
}

/** Lines and stars to draw by: dotted brass, never made. */
export function Guides({ guides, toScreen, reach }: GuidesProps) {
  return (
    <g fill="none" stroke="var(--brass)" strokeDasharray="1 4" strokeLinecap="round" strokeWidth={1.25}>
      {guides.map((guide, index) => (
        <polyline
          key={index}
          points={pointsOf(guide, reach)
            .map((point) => pair(toScreen(point)))
            .join(" ")}
        />
      ))}
    </g>
  );
}

function pair({ x, y }: Point): string {
  return `${x},${y}`;
}

function pointsOf(guide: ResolvedGuide, reach: number): Point[] {
  switch (guide.kind) {
    case "upright":
      return [-reach, reach].map((y) => ({ x: guide.x, y }));
    case "level":
      return [-reach, reach].map((x) => ({ x, y: guide.y }));
    case "slanted":
      return [-reach, reach].map((far) => polar(far, guide.angle, guide.through));
    case "star":
      return Array.from({ length: 2 * guide.points + 1 }, (_, corner) =>
        polar(corner % 2 === 0 ? guide.outer : guide.inner, guide.start + (corner * 180) / guide.points),
      );
    case "polygon":
      return Array.from({ length: guide.sides + 1 }, (_, corner) =>
        polar(guide.radius, guide.start + (corner * 360) / guide.sides),
      );
  }
}
