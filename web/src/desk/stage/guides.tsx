import { polar, type GuideShape, type Point } from "@twin-petal/core";

interface GuidesProps {
  readonly guides: readonly GuideShape[];
  toScreen: (point: Point) => Point;
  readonly reach: number;
}

/** Lines and stars to draw by: dotted brass, never made. */
export function Guides({ guides, toScreen, reach }: GuidesProps) {
  return (
    <g fill="none" stroke="var(--brass)" strokeDasharray="1 4" strokeLinecap="round" strokeWidth={1.25}>
      {guides.filter(isDrawn).map((guide, index) => (
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

type Drawn = Exclude<GuideShape, { readonly from: unknown }>;

/** Measures have marks of their own. */
const isDrawn = (guide: GuideShape): guide is Drawn => !("from" in guide);

function pair({ x, y }: Point): string {
  return `${x},${y}`;
}

function pointsOf(guide: Drawn, reach: number): Point[] {
  if ("corners" in guide) return [...guide.corners, ...guide.corners.slice(0, 1)].map(({ at }) => at);
  return [-reach, reach].map((far) => polar(far, guide.angle, guide.through));
}
