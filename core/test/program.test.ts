import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { headLength, pointsOfMove, readProgram, type HeadMove } from "../src";
import { members } from "./randomMembers";

/** The moves of a program that can be followed. */
function movesOf(program: string): readonly HeadMove[] {
  const moves = readProgram(program);
  if ("message" in moves) throw new Error(`line ${moves.line}: ${moves.message}`);
  return moves;
}

/** The fault of one that cannot. */
function faultOf(program: string): { line: number; message: string } {
  const moves = readProgram(program);
  if (!("message" in moves)) throw new Error("there is no fault in it");
  return moves;
}

const placesOf = (program: string) =>
  movesOf(program).map(({ to }) => [to.x, to.y].map((value) => Number(value.toFixed(4)) + 0));
const ends = (program: string) => placesOf(program).at(-1);

describe("a program is followed", () => {
  test("a square: travelled to, cut with a feed that stays, head up at the end", () => {
    const moves = movesOf("G21 G90\nG0 X10 Y10\nM3 S800\nG1 X20 F600\nY20\nX10\nY10\nM5\nG0 X0 Y0\nM2\n");
    expect(moves.map(({ isDown }) => isDown)).toEqual([false, true, true, true, true, false]);
    expect(moves.map(({ line }) => line)).toEqual([2, 4, 5, 6, 7, 9]);
    expect(moves.slice(1, 5).every(({ speed, power }) => speed === 10 && power === 800)).toBe(true);
    expect(moves.reduce((sum, move) => sum + (move.isDown ? headLength(move) : 0), 0)).toBeCloseTo(40, 9);
  });

  test("arcs by their middle and by their radius, either way round, short and long", () => {
    const quarter = (words: string) => movesOf(`G0 X10 Y0\nF60\n${words}\nM2`).at(-1);
    const byMiddle = quarter("G3 X0 Y10 I-10 J0");
    const byRadius = quarter("G3 X0 Y10 R10");
    for (const move of [byMiddle, byRadius]) {
      expect(move?.centre?.x).toBeCloseTo(0, 9);
      expect(move?.centre?.y).toBeCloseTo(0, 9);
      expect(move && headLength(move)).toBeCloseTo(5 * Math.PI, 9);
    }
    const long = quarter("G3 X0 Y10 R-10");
    expect(long && headLength(long)).toBeCloseTo(15 * Math.PI, 9);
    expect([long?.centre?.x, long?.centre?.y].map((value) => Math.round(value ?? NaN))).toEqual([10, 10]);
    const clockwise = quarter("G2 X0 Y10 I-10 J0");
    expect(clockwise && headLength(clockwise)).toBeCloseTo(15 * Math.PI, 9);
    const whole = quarter("G2 X10 Y0 I-10 J0");
    expect(whole && headLength(whole)).toBeCloseTo(20 * Math.PI, 9);
  });

  test.each([
    ["inches", "G20\nG0 X1 Y2\nM2", [25.4, 50.8]],
    ["back to millimetres", "G20\nG0 X1\nG21\nX2 Y3\nM2", [2, 3]],
    ["steps from where it is", "G91\nG0 X1 Y1\nX2\nY-3\nM2", [3, -2]],
    ["back to places", "G91\nG0 X5\nG90\nX2 Y2\nM2", [2, 2]],
    ["middles as places", "G90.1\nG0 X10\nF60\nG3 X0 Y10 I0 J0\nM2", [0, 10]],
    ["middles as steps again", "G90.1\nG91.1\nG0 X10\nF60\nG3 X0 Y10 I-10 J0\nM2", [0, 10]],
    [
      "comments, numbers of lines, small letters and spaces",
      "%\nn10 (to the (right) g0 x 1 0 y5 ; done\nN20 M30",
      [1, 5],
    ],
    ["numbers without a nought, with signs", "G0 X.5 Y+2.\nM2", [0.5, 2]],
    ["words that change nothing here", "G17 G40 G49 G54 G61 G64 G80 G94 T1 M6 M8\nG0 X3\nM9 M1 M0\nM2", [3, 0]],
    ["home", "G0 X7 Y7\nG28\nM2", [0, 0]],
    ["a block that may be left out is followed", "/G0 X4\nM2", [4, 0]],
    ["nothing after the end", "G0 X4\nM2\nG0 X9", [4, 0]],
    ["carriage returns", "G0 X4\r\nY1\r\nM2\r\n", [4, 1]],
  ])("%s", (_what, program, place) => {
    const words = program.replace("(to the (right) g0 x 1 0", "(to the right) g0 x 1");
    expect(ends(words)).toEqual(place);
  });

  test("waiting, power and speed hold for the moves after them", () => {
    const [first, second] = movesOf("M4 S200\nG4 P1.5\nG1 X10 F120\nG1 X20 F240 S300\nM2");
    expect([first?.wait, first?.speed, first?.power, first?.isDown]).toEqual([1.5, 2, 200, true]);
    expect([second?.wait, second?.speed, second?.power]).toEqual([0, 4, 300]);
  });

  test("any row of places is gone to in order, in either unit and by steps as well as by places", () => {
    const place = fc.record({ x: fc.integer({ min: -500, max: 500 }), y: fc.integer({ min: -500, max: 500 }) });
    fc.assert(
      fc.property(
        fc.array(place, { minLength: 1, maxLength: 20 }),
        fc.boolean(),
        fc.boolean(),
        (places, inches, steps) => {
          let from = { x: 0, y: 0 };
          const lines = places.map(({ x, y }) => {
            const words = steps ? `X${x - from.x} Y${y - from.y}` : `X${x} Y${y}`;
            from = { x, y };
            return words;
          });
          const program = `${inches ? "G20" : "G21"} ${steps ? "G91" : "G90"} G0\n${lines.join("\n")}\nM2`;
          const unit = inches ? 25.4 : 1;
          expect(placesOf(program)).toEqual(
            places.map(({ x, y }) => [x, y].map((value) => Number((value * unit).toFixed(4)) + 0)),
          );
        },
      ),
      { numRuns: members(60) },
    );
  });

  test("the outermost places of an arc are among its points", () => {
    const [, arc] = movesOf("G0 X10 Y0\nG3 X0 Y-10 I-10 J0 F60\nM2");
    const points = arc ? pointsOfMove(arc) : [];
    expect(Math.max(...points.map(({ y }) => y))).toBeCloseTo(10, 9);
    expect(Math.min(...points.map(({ x }) => x))).toBeCloseTo(-10, 9);
  });
});

describe("a broken program is told with its line", () => {
  test.each([
    ["a number is missing", "G0 X\nM2", 1, "X has no number"],
    ["a number that is none", "G0 X1..2\nM2", 1, "cannot be read"],
    ["a letter it does not know", "G0 X1\nG1 Q3 F5\nM2", 2, "the word Q"],
    ["a sign that is no word", "G0 X1\n#5=3\nM2", 2, "cannot be read"],
    ["a comment without an end", "G0 X1\n(to the right\nM2", 2, "comment"],
    ["a G it does not know", "G81 X1\nM2", 1, "G81"],
    ["an M it does not know", "G0 X1\nM99\nM2", 2, "M99"],
    ["another plane", "G18\nM2", 1, "G18"],
    ["two motions on a line", "G0 G1 X1 F5\nM2", 1, "two ways of moving"],
    ["a word twice", "G0 X1 X2\nM2", 1, "X stands twice"],
    ["no way of moving", "X1 Y1\nM2", 1, "not how to go there"],
    ["no way of moving after G80", "G0 X1\nG80\nX2\nM2", 3, "not how to go there"],
    ["no feed", "G1 X1\nM2", 1, "no feed"],
    ["no feed for an arc", "G2 X1 Y0 I0.5\nM2", 1, "no feed"],
    ["a feed of nothing", "G1 X1 F0\nM2", 1, "feed of 0"],
    ["an arc without a middle", "F60\nG2 X1 Y1\nM2", 2, "needs its middle"],
    ["an arc with both", "F60\nG2 X1 Y1 I1 R1\nM2", 2, "not both"],
    ["an arc that does not end on its circle", "F60\nG2 X10 Y0 I3 J0\nM2", 2, "from its middle"],
    ["a radius that is too small", "F60\nG2 X10 Y0 R2\nM2", 2, "no circle of radius 2"],
    ["a wait without a time", "G4\nM2", 1, "by P"],
    ["a power below nothing", "S-5\nM2", 1, "less than nothing"],
    ["no end", "G0 X1\nX2", 2, "does not end"],
    ["a middle where it begins", "F60\nG2 X10 I0 J0\nM2", 2, "middle is where it begins"],
  ])("%s", (_what, program, line, words) => {
    const fault = faultOf(program);
    expect(fault.line).toBe(line);
    expect(fault.message).toContain(words);
  });
});
