import { strFromU8 } from "fflate";
import { CUT_MAKING } from "../../design/makingFields";
import type { ResolvedOf } from "../../fields/field";
import { boxOfPoints, type Box } from "../../geometry/box";
import { distance, type Point } from "../../geometry/point";
import { settingsBy } from "../settings";
import type { Device, DeviceRun } from "../device";
import { headLength, pointsOfMove } from "./headWay";
import { readProgram, type HeadMove } from "./readProgram";

type Settings = ResolvedOf<typeof CUT_MAKING.fields>;

const { readSettings, isSettings } = settingsBy(CUT_MAKING);

/** What is this little over the edge is rounding, millimetres. */
const ON_EDGE = 0.01;
/** A cut that ends this near to where it began goes all round, millimetres. */
const CLOSES = 0.05;
/** Letters of a program it reads at most. */
const MOST_LETTERS = 50_000_000;

/** The simulated cutter: reads a program, and moves its head as the program says. */
export const cutter: Device = {
  kind: "cutter",
  name: "cutter",
  reads: ["gcode", "nc", "ngc"],
  stepName: "move",
  readSettings,
  open(file, settings) {
    if (!isSettings(settings)) throw new Error("these are not the settings of the cutter");
    return Promise.resolve(opened(file, settings));
  },
};

function opened(file: Uint8Array, settings: Settings): DeviceRun | { readonly refusal: string } {
  if (file.length > MOST_LETTERS)
    return { refusal: "The program is longer than 50 MB, which is more than this cutter reads." };
  if (file.includes(0)) return { refusal: "This is no program: it is not text." };
  const moves = readProgram(strFromU8(file));
  if ("message" in moves) return { refusal: `Line ${moves.line}: ${moves.message}.` };
  if (!moves.some(({ isDown }) => isDown))
    return { refusal: "There is nothing to cut: the head is never let down (M3)." };
  const refusal = leavingFrame(moves, settings.frame);
  return refusal === null ? runOf(moves, settings) : { refusal };
}

function leavingFrame(moves: readonly HeadMove[], { width, height }: Settings["frame"]): string | null {
  for (const move of moves) {
    const { left, top, right, bottom } = boxOfPoints(pointsOfMove(move));
    const beyond = Math.max(-left, right - width, -top, bottom - height);
    if (beyond > ON_EDGE)
      return `Line ${move.line}: the head leaves the frame of ${width} × ${height} mm by ${beyond.toFixed(2)} mm; make it smaller, move it, or choose a larger frame.`;
  }
  return null;
}

function runOf(moves: readonly HeadMove[], { travelSpeed }: Settings): DeviceRun {
  const done = { moves: 0, length: 0, travel: 0, seconds: 0, pieces: 0 };
  let box: Box | null = null;
  let begun: Point | null = null;
  return {
    steps: moves.length,
    step(index) {
      const move = moves[index];
      if (!move) throw new Error(`there is no move ${index}`);
      const length = headLength(move);
      const seconds = move.wait + length / (move.isRapid ? travelSpeed : move.speed);
      done.moves += 1;
      done.seconds += seconds;
      if (move.isDown) {
        done.length += length;
        box = boxOfPoints([
          ...pointsOfMove(move),
          ...(box
            ? [
                { x: box.left, y: box.top },
                { x: box.right, y: box.bottom },
              ]
            : []),
        ]);
        begun ??= move.from;
      } else {
        done.travel += length;
        begun = null;
      }
      const isFree = begun !== null && length > 0 && distance(move.to, begun) < CLOSES;
      if (isFree) {
        done.pieces += 1;
        begun = null;
      }
      const { line, from, to, centre, clockwise, power, isDown } = move;
      return {
        seconds,
        trace: {
          ...{ line, fromX: from.x, fromY: from.y, x: to.x, y: to.y, length, power },
          // The way round its middle: above 0 clockwise, 0 straight.
          way: centre ? (clockwise ? 1 : -1) : 0,
          ...(centre && { centreX: centre.x, centreY: centre.y }),
          down: Number(isDown),
          free: Number(isFree),
        },
      };
    },
    report() {
      const { left = 0, top = 0, right = 0, bottom = 0 } = box ?? {};
      return { ...done, left, right, lower: top, upper: bottom };
    },
  };
}
