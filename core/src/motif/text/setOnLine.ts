import { MOST_SHAPES } from "../../fields/most";
import { Incomputable } from "../../formula/incomputable";
import { FULL_TURN, toDegrees } from "../../geometry/angle";
import { multiply, rotation, translation, type Matrix } from "../../geometry/matrix";
import { transformPath, type Path } from "../../geometry/path";
import { polar } from "../../geometry/point";
import { measurePath, type MeasuredPath } from "../../geometry/pathLength";
import type { Surroundings } from "../drawing";
import type { Letter, Row } from "./letters";
import type { TextLine } from "./lineForText";

/** Sets one row, or as many as fit when it is repeated until the line is full. */
export function setOnLine(row: Row, line: TextLine, repeat: boolean, spacing: number, around: Surroundings): Path {
  const base = line.kind === "circle" ? circleLine(line) : partLine(line, around);
  if (!base || row.letters.length === 0) return [];
  const room = base.room;
  const times = repeat ? timesThatFit(row, room, spacing) : 1;
  const stretch = stretchOf(row, line, repeat, times, room, base.closed);
  return Array.from({ length: times }, (_, time) => time).flatMap((time) =>
    row.letters.flatMap((letter, index) => {
      const gaps = time * (row.letters.length - 1) + index;
      const at = time * (row.width + spacing + stretch.word) + letter.at + gaps * stretch.letter;
      return transformPath(letter.outline, base.place(at + letter.advance / 2, letter));
    }),
  );
}

/** How often a row fits. A spacing that draws its letters into each other leaves no end to that: it is told. */
function timesThatFit(row: Row, room: number, spacing: number): number {
  const times = Math.max(1, Math.floor((room + spacing) / (row.width + spacing)));
  const isEndless = row.width + spacing <= 0;
  if (!isEndless && times * row.letters.length <= MOST_SHAPES) return times;
  const most = MOST_SHAPES.toLocaleString("en");
  throw new Incomputable(
    "motif",
    isEndless
      ? `its letters take no room with a spacing of ${Number(spacing.toFixed(3))} mm, so there is no end to repeating them; space them wider`
      : `would set ${(times * row.letters.length).toLocaleString("en")} letters; at most ${most} can be: space them wider, or make them larger`,
  );
}

/** What is added between letters, or between repeats, so that the row ends where it should. Millimetres. */
function stretchOf(
  row: Row,
  line: TextLine,
  repeat: boolean,
  times: number,
  room: number,
  closed: boolean,
): { letter: number; word: number } {
  const rest = room - times * row.width;
  if (repeat) {
    const words = closed ? times : times - 1;
    return { letter: 0, word: words > 0 ? rest / words : 0 };
  }
  if (line.end === null || row.letters.length < 2) return { letter: 0, word: 0 };
  return { letter: rest / (row.letters.length - 1), word: 0 };
}

interface Base {
  /** Millimetres of line there are for letters. */
  readonly room: number;
  /** Whether the end of the room is its start. */
  readonly closed: boolean;
  /** The map that sets a letter with its middle so far along. */
  place: (middle: number, letter: Letter) => Matrix;
}

function circleLine({ radius, start, end, inside }: Extract<TextLine, { kind: "circle" }>): Base {
  const sense = inside ? -1 : 1;
  const span = end === null ? FULL_TURN : Math.min(FULL_TURN, Math.abs(end - start) || FULL_TURN);
  return {
    room: (span / FULL_TURN) * 2 * Math.PI * radius,
    closed: span === FULL_TURN,
    place(middle, letter) {
      const direction = start + sense * toDegrees(middle / radius);
      const foot = polar(radius, direction);
      const upright = direction + (inside ? 180 : 0);
      return multiply(translation(foot.x, foot.y), multiply(rotation(upright), translation(-letter.advance / 2, 0)));
    },
  };
}

function partLine(
  { part, start, end, inside }: Extract<TextLine, { kind: "part" }>,
  around: Surroundings,
): Base | null {
  const longest = longestRun(around.lineOf(part));
  if (!longest) return null;
  const { length } = longest;
  const from = start * length;
  const closed = longest.closed && end === null;
  return {
    room: closed ? length : Math.abs((end ?? 1) * length - from),
    closed,
    place(middle, letter) {
      const { point, tangent } = longest.at(inside ? from - middle : from + middle);
      const side = inside ? -1 : 1;
      const along: Matrix = [side * tangent.x, side * tangent.y, -side * tangent.y, side * tangent.x, point.x, point.y];
      return multiply(along, translation(-letter.advance / 2, 0));
    },
  };
}

function longestRun(path: Path | null): MeasuredPath | null {
  const runs = (path ?? []).map(measurePath).filter(({ length }) => length > 0);
  return runs.reduce<MeasuredPath | null>((best, run) => (best && best.length >= run.length ? best : run), null);
}
