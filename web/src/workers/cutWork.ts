import {
  bridgesForIslands,
  buildScene,
  checkCut,
  loadGeometryEngine,
  makeGcode,
  planCut,
  pointsOfMove,
  prepareFor,
  problemLine,
  readProgram,
  type BridgePlace,
  type CutChecked,
  type CutPlan,
  type CutWay,
  type Design,
  type Subpath,
} from "@twin-petal/core";
import { WEB_HOST } from "./webHost";

/** Lines of one way and one part, as they are drawn at once. */
export interface ShownLines {
  readonly as: CutWay;
  readonly part: string;
  readonly runs: readonly Subpath[];
}

/** The head's way as its program says it, on the sheet's axes: every move a row of points. */
export interface HeadWay {
  /** x and y of every point of every move. */
  readonly points: Float32Array;
  /** For each move where its points begin; one more for the end. */
  readonly begins: Uint32Array;
  /** For each move 1 where the head works. */
  readonly down: Uint8Array;
  /** For each move the line of the program. */
  readonly lines: Uint32Array;
  /** For each move how many seconds have gone when it is done. */
  readonly seconds: Float64Array;
  /** For each move the move at which the piece that it frees was begun; −1 where none comes free. */
  readonly frees: Int32Array;
}

/** What a cut comes to. */
export interface ShownCut {
  readonly lines: readonly ShownLines[];
  readonly way: HeadWay;
  readonly checks: readonly CutChecked[];
  readonly length: number;
  readonly travel: number;
  readonly seconds: number;
}

/** Computes cuts in a worker of their own. */
export class CutWork {
  private plan: CutPlan | null = null;

  /** Everything about the cut of a design; rejects in words. `onShare` hears how much of the order is found, 0…1. */
  async cut(design: Design, onShare: (share: number) => void): Promise<ShownCut> {
    await Promise.all([prepareFor(design, WEB_HOST), loadGeometryEngine(WEB_HOST.geometryEngine)]);
    const scene = buildScene(design);
    const [problem] = scene.problems;
    if (problem) throw new Error(problemLine(problem));
    const plan = planCut(scene, (share) => {
      onShare(share);
      return true;
    });
    this.plan = plan;
    const { length, travel, seconds, strokes } = plan;
    const lines = strokes.map(({ as, part, runs }) => ({ as, part, runs }));
    return {
      lines,
      way: wayOf(makeGcode({ design, scene, plan }), plan),
      checks: checkCut(plan),
      length,
      travel,
      seconds,
    };
  }

  /** Where bridges would hold every island of the cut that was computed last. */
  bridgesForIslands(): BridgePlace[] {
    return this.plan ? bridgesForIslands(this.plan) : [];
  }
}

/** A piece comes free where a cut ends this near to where it began, millimetres. */
const CLOSES = 0.05;

function wayOf(program: string, { settings: { frame, travelSpeed } }: CutPlan): HeadWay {
  const moves = readProgram(program);
  if ("message" in moves) throw new Error(`line ${moves.line} of the program: ${moves.message}`);
  const points: number[] = [];
  const begins = new Uint32Array(moves.length + 1);
  const seconds = new Float64Array(moves.length);
  const frees = new Int32Array(moves.length).fill(-1);
  let [gone, begun] = [0, -1];
  moves.forEach((move, index) => {
    const way = pointsOfMove(move);
    begins[index] = points.length / 2;
    let length = 0;
    way.forEach(({ x, y }, k) => {
      const before = way[Math.max(0, k - 1)];
      if (before) length += Math.hypot(x - before.x, y - before.y);
      points.push(x - frame.width / 2, frame.height / 2 - y);
    });
    gone += move.wait + length / (move.isRapid ? travelSpeed : move.speed);
    seconds[index] = gone;
    if (!move.isDown) begun = -1;
    else if (begun < 0) begun = index;
    const start = begun < 0 ? undefined : moves[begun]?.from;
    if (start && move.isDown && Math.hypot(move.to.x - start.x, move.to.y - start.y) < CLOSES) {
      frees[index] = begun;
      begun = -1;
    }
  });
  begins[moves.length] = points.length / 2;
  return {
    ...{ begins, seconds, frees, points: Float32Array.from(points) },
    down: Uint8Array.from(moves, ({ isDown }) => Number(isDown)),
    lines: Uint32Array.from(moves, ({ line }) => line),
  };
}
