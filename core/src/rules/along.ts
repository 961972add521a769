import { choice } from "../fields/choice";
import { following, number } from "../fields/number";
import { partName } from "../fields/partName";
import { toggle } from "../fields/toggle";
import { bendPath } from "../geometry/bend";
import { measureLine, type MeasuredLine } from "../geometry/line";
import { IDENTITY, multiply, rotation, translation } from "../geometry/matrix";
import { transformPath } from "../geometry/path";
import { directionOf, ORIGIN, type Point } from "../geometry/point";
import { defineRule, type Group, type Mark, type Transforms } from "./definition";
import { FACES, facingOf, standing, type Face } from "./facing";
import { linkNumbers, shortBy, tidy, type LinkedNumbers, type LinkReport } from "./linkedNumbers";
import { packMatrices } from "./pack";

interface AlongValues {
  readonly path: string;
  readonly count: number | undefined;
  readonly pitch: number | undefined;
  readonly from: number;
  readonly to: number | undefined;
  readonly offset: number;
  readonly face: Face;
  readonly own: number;
  readonly bend: boolean;
}

const USUAL_COUNT = 12;

/** Copies along another part's line, at even distances; rigid, or bent to follow it. */
export const along = defineRule<AlongValues>({
  kind: "along",
  leads: "path",
  fields: {
    path: partName(""),
    /** Twelve unless it is given or follows from the pitch. */
    count: following("count"),
    pitch: following("length", { min: 0.001 }),
    /** Where on the line it begins and ends, as shares of its length. */
    from: number("share", 0),
    to: following("share"),
    /** Millimetres from the line, to the left of travel: outwards where the line goes round clockwise. */
    offset: number("length", 0),
    face: choice(FACES, "out"),
    own: number("angle", 0),
    bend: toggle(false),
  },
  copies: ({ count = USUAL_COUNT }) => count,
  uses: ({ path }) => [path],
  transforms(values, group) {
    const line = lineOf(values, group);
    return line ? onLine(values, line) : { matrices: Float64Array.from(IDENTITY) };
  },
  marks(values, group) {
    const line = lineOf(values, group);
    if (!line) return [];
    const points = sampled(line);
    const marks: Mark[] = [{ kind: "share", field: "from", share: values.from, line: points }];
    return values.pitch !== undefined && values.count !== undefined && values.to === undefined
      ? marks
      : [...marks, { kind: "share", field: "to", share: values.to ?? 1, line: points }];
  },
  links(values, group) {
    const line = lineOf(values, group);
    return line ? [alongLinks(values, line)] : [];
  },
});

function lineOf({ path }: AlongValues, group: Group): MeasuredLine | null {
  const line = measureLine(group.surroundings.lineOf(path) ?? []);
  if (!line) group.note(path === "" ? "choose a part whose line the copies follow" : `“${path}” has no line to follow`);
  return line;
}

const SAMPLES = 120;

function sampled(line: MeasuredLine): Point[] {
  return Array.from({ length: SAMPLES + 1 }, (_, k) => {
    // The end of a closed line is its start again; it is asked for just before.
    const share = line.closed ? Math.min(k / SAMPLES, 1 - 1e-9) : k / SAMPLES;
    return line.at(share * line.length).point;
  });
}

function isWhole({ from, to }: AlongValues, line: MeasuredLine): boolean {
  return line.closed && from === 0 && (to === undefined || to === 1);
}

/** Count, pitch and the length covered, millimetres. */
function linked(values: AlongValues, line: MeasuredLine): LinkedNumbers {
  const { count, pitch, from, to } = values;
  const covered = ((to ?? 1) - from) * line.length;
  const spanHeld = to !== undefined || count === undefined;
  const closed = isWhole(values, line);
  return linkNumbers({
    count: count ?? USUAL_COUNT,
    spacing: pitch === undefined ? undefined : pitch * (covered < 0 ? -1 : 1),
    span: spanHeld ? covered : undefined,
    usual: { span: covered },
    gaps: (copies, span) => (closed && span !== null ? copies : copies - 1),
    countFor: (gaps) => (closed ? gaps : gaps + 1),
  });
}

function alongLinks(values: AlongValues, line: MeasuredLine): LinkReport {
  const numbers = linked(values, line);
  const { count, spacing, span, follows } = numbers;
  const to = values.to ?? (follows === "span" ? values.from + span / line.length : 1);
  const pitch = Math.max(0.001, tidy(Math.abs(spacing)));
  const heldTo = tidy(Math.min(1, Math.max(0, to)));
  const short = isWhole(values, line) ? line.length - count * Math.abs(spacing) : null;
  return {
    count,
    spacing: Math.abs(spacing),
    span: to,
    follows,
    about: "along",
    quantity: "length",
    fields: { count: "count", spacing: "pitch", span: "to" },
    letFollow: {
      count: { count: undefined, pitch, to: values.to },
      spacing: { count, pitch: undefined, to: heldTo === 1 ? undefined : heldTo },
      span: { count, pitch, to: undefined },
    },
    short: short === null ? null : shortBy(short),
    close: { count, pitch: undefined, to: undefined },
  };
}

function onLine(values: AlongValues, line: MeasuredLine): Transforms {
  const { count, spacing } = linked(values, line);
  const lengthAt = (j: number) => values.from * line.length + j * spacing;
  if (values.bend) return bent(values, line, count, lengthAt);
  return {
    matrices: packMatrices(count, (j) => {
      const { point, tangent } = line.at(lengthAt(j));
      const outward = directionOf(ORIGIN, tangent) - 90;
      const foot = { x: point.x + tangent.y * values.offset, y: point.y - tangent.x * values.offset };
      return standing(foot, facingOf(values.face, outward) + values.own);
    }),
  };
}

function bent(values: AlongValues, line: MeasuredLine, count: number, lengthAt: (j: number) => number): Transforms {
  const upright = multiply(translation(0, -values.offset), rotation(facingOf(values.face, 0) + values.own));
  return {
    matrices: packMatrices(count, () => [1, 0, 0, 1, 0, 0]),
    reshape: {
      space: "group",
      keepsPieces: true,
      outline: (path, j) => bendPath(transformPath(path, upright), line, lengthAt(j)),
    },
  };
}
