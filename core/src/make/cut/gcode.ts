import type { CutWay } from "../../design/cutFields";
import { arcsOf, type ArcMove } from "../../geometry/arcsOf";
import { decimals } from "../../geometry/decimals";
import { segmentsOf, type Subpath } from "../../geometry/path";
import type { Point } from "../../geometry/point";
import type { CutFormat, CutSubject } from "../format";
import { beyondFrame } from "./beyondFrame";

/** Places are written to a ten-thousandth of a millimetre. */
const PLACES = 4;
/** Arcs keep this share of the tolerance for the places' own rounding. */
const ARC_SHARE = 0.9;

/** How strong the head works: the most for a cut. */
const POWER: Readonly<Record<CutWay, number>> = { cut: 1000, score: 500, engrave: 300, draw: 200 };

/** The program of a cutter by ISO 6983: millimetres from the frame's lower left corner, y up, curves as arcs. */
export function makeGcode({ design, plan, scene }: CutSubject): string {
  const { settings, strokes, length, travel } = plan;
  const { frame, tolerance, speed } = settings;
  const names = new Map(scene.parts.map(({ id, name }) => [id, name]));
  const feed = decimals(speed * 60, 1);
  const inFrame = ({ x, y }: Point) => ({ x: x + frame.width / 2, y: frame.height / 2 - y });
  const at = (point: Point) => {
    const { x, y } = inFrame(point);
    return `X${decimals(x, PLACES)} Y${decimals(y, PLACES)}`;
  };
  const lines = [
    comment(`${design.name}, ${decimals(frame.width, 2)} x ${decimals(frame.height, 2)} mm`),
    comment(`head down ${decimals(length, 1)} mm, up ${decimals(travel, 1)} mm`),
    "G21 G90 G17",
  ];
  for (const { as, part, runs } of strokes) {
    lines.push(comment(`${as} ${names.get(part) ?? part}`));
    for (const run of runs) for (const line of runLines(run, POWER[as])) lines.push(line);
  }
  return [...lines, "M2", ""].join("\n");

  function runLines(run: Subpath, power: number): string[] {
    const cubics = segmentsOf(run);
    const [first] = cubics;
    if (!first) return [];
    let from = first[0];
    const moves = arcsOf(cubics, tolerance * ARC_SHARE).flatMap((move): string[] => {
      const words = movesWords(from, move);
      from = move.to;
      return words;
    });
    return [`G0 ${at(first[0])}`, `M3 S${power}`, `F${feed}`, ...moves, "M5"];
  }

  /** A whole turn is written as two halves: some readers take it for none. */
  function movesWords(from: Point, move: ArcMove): string[] {
    if (!move.centre) return [`G1 ${at(move.to)}`];
    const { centre, to } = move;
    // Seen with y up a clockwise arc of the sheet stays clockwise: the sheet is looked at from the same side.
    const word = move.clockwise ? "G2" : "G3";
    const arc = (a: Point, b: Point) => {
      const [start, middle] = [rounded(inFrame(a)), inFrame(centre)];
      return `${word} ${at(b)} I${decimals(middle.x - start.x, PLACES)} J${decimals(middle.y - start.y, PLACES)}`;
    };
    if (Math.hypot(to.x - from.x, to.y - from.y) > 1e-6) return [arc(from, to)];
    const across = { x: 2 * centre.x - from.x, y: 2 * centre.y - from.y };
    return [arc(from, across), arc(across, to)];
  }
}

function rounded({ x, y }: Point): Point {
  return { x: Number(x.toFixed(PLACES)), y: Number(y.toFixed(PLACES)) };
}

/** Round brackets end a comment, and letters beyond ASCII are not everywhere read. */
function comment(words: string): string {
  return `(${words.replace(/[^ -~]/g, "?").replace(/[()]/g, "-")})`;
}

/** What a cutter reads. */
export const gcode: CutFormat = {
  extension: "gcode",
  mediaType: "text/x.gcode",
  kind: "cut",
  options: [],
  notes: beyondFrame,
  make: makeGcode,
};
