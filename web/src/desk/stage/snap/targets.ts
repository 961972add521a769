import {
  apply,
  polar,
  type GuideShape,
  type Matrix,
  type PlacedMark,
  type PlaceKind,
  type placesToSnap,
  type Point,
  type ResolvedSheet,
} from "@twin-petal/core";
import type { SnapLine, SnapPoint, SnapTargets } from "./snap";

/** What is found of other parts within a view. */
type PartsPlaces = ReturnType<typeof placesToSnap>;

/** A line through a point at an angle (degrees, 0° upright). */
export function lineAt(through: Point, angle: number, words: string): SnapLine {
  return { through, along: polar(1, angle), words };
}

function edge(from: Point, to: Point, words: string): SnapLine {
  const length = Math.hypot(to.x - from.x, to.y - from.y);
  const along = length === 0 ? { x: 1, y: 0 } : { x: (to.x - from.x) / length, y: (to.y - from.y) / length };
  return { through: from, along, reach: [0, length], words };
}

const middle = (a: Point, b: Point): Point => ({ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 });

/** What the sheet itself draws the hand to: its centre, corners, middles and edges. */
export function sheetTargets({ width, height }: ResolvedSheet): SnapTargets {
  const [x, y] = [width / 2, height / 2];
  const corners: Point[] = [
    { x: -x, y: -y },
    { x, y: -y },
    { x, y },
    { x: -x, y },
  ];
  const edges = corners.map((corner, k) => edge(corner, corners[(k + 1) % 4] ?? corner, "sheet’s edge"));
  return {
    points: [
      { at: { x: 0, y: 0 }, words: "sheet’s centre" },
      ...corners.map((at) => ({ at, words: "sheet’s corner" })),
      ...corners.map((at, k) => ({ at: middle(at, corners[(k + 1) % 4] ?? at), words: "middle of the sheet’s edge" })),
    ],
    lines: edges,
  };
}

/** Points and lines of the guides: of stars and polygons their points, inner corners and middles too. */
export function guideTargets(guides: readonly GuideShape[]): SnapTargets {
  const all = guides.map(targetsOfGuide);
  return { points: all.flatMap(({ points }) => points), lines: all.flatMap(({ lines }) => lines) };
}

function targetsOfGuide(guide: GuideShape): SnapTargets {
  if ("corners" in guide) return figure(guide.corners, guide.name);
  if ("from" in guide) return { points: [], lines: [] };
  return { points: [], lines: [lineAt(guide.through, guide.angle, "guide")] };
}

function figure(corners: readonly SnapPoint[], name: string): SnapTargets {
  const next = (k: number) => corners[(k + 1) % corners.length] ?? corners[0];
  return {
    points: [
      ...corners,
      ...corners.map(({ at }, k) => ({ at: middle(at, next(k)?.at ?? at), words: `middle of the ${name}’s side` })),
      { at: { x: 0, y: 0 }, words: `${name}’s centre` },
    ],
    lines: corners.map(({ at }, k) => edge(at, next(k)?.at ?? at, `${name}’s side`)),
  };
}

/** What the rules draw the hand to: pivots, mirror lines, the sides of the wedge. In the sheet's space. */
export function markTargets(marks: readonly PlacedMark[]): SnapTargets {
  const points: SnapPoint[] = [];
  const lines: SnapLine[] = [];
  for (const { mark, toSheet } of marks) {
    if (mark.kind === "pivot") points.push({ at: apply(toSheet, mark.at), words: "pivot" });
    if (mark.kind === "fixedPoint") points.push({ at: apply(toSheet, mark.at), words: "point the copies spiral into" });
    if (mark.kind === "mirror") lines.push(mapped(toSheet, mark.through, mark.angle, "mirror line"));
    if (mark.kind === "wedge") {
      lines.push(
        mapped(toSheet, mark.pivot, mark.from, "wedge line"),
        mapped(toSheet, mark.pivot, mark.to, "wedge line"),
      );
    }
  }
  return { points, lines };
}

function mapped(toSheet: Matrix, through: Point, angle: number, words: string): SnapLine {
  const from = apply(toSheet, through);
  return carriedLine(from, apply(toSheet, polar(1, angle, through)), words);
}

function carriedLine(from: Point, to: Point, words: string): SnapLine {
  const { through, along } = edge(from, to, words);
  return { through, along, words };
}

const KIND_WORDS: Readonly<Record<PlaceKind, string>> = {
  end: "end of",
  node: "node of",
  middle: "middle of a side of",
  crossing: "crossing of",
};

/** What other parts draw the hand to, as they stand on the sheet. */
export function partTargets({ places, sides }: PartsPlaces): SnapTargets {
  const named = (parts: readonly string[]) => parts.map((name) => `“${name}”`).join(" and ");
  return {
    points: places.map(({ at, kind, parts, anchor }) => ({
      at,
      words: `${KIND_WORDS[kind]} ${named(parts)}`,
      ...(anchor && { anchor }),
    })),
    lines: sides.map(({ from, to, part }) => edge(from, to, `side of ${named([part])}`)),
  };
}

/** Targets in another space. */
export function carriedTargets({ points, lines }: SnapTargets, by: Matrix): SnapTargets {
  return {
    points: points.map((point) => ({ ...point, at: apply(by, point.at) })),
    lines: lines.map(({ through, along, reach, words }) => {
      const at = (t: number) => apply(by, { x: through.x + along.x * t, y: through.y + along.y * t });
      return reach ? edge(at(reach[0]), at(reach[1]), words) : carriedLine(at(0), at(1), words);
    }),
  };
}
