import { arrange, type Face } from "../geometry/arrangement/arrange";
import { withoutDoubled } from "../geometry/arrangement/lines";
import { combine } from "../geometry/boolean/boolean";
import { transformPath, type Path } from "../geometry/path";
import type { Point } from "../geometry/point";
import { NO_LINE, pieceOutline, type Piece } from "../motif/drawing";
import { matrixAt, type Placements } from "../rules/placements";
import type { Shape } from "../rules/shapes";
import { lostColors } from "./lostColors";
import { withinLimits, type Limits } from "./limits";
import type { FacePaint, JoinMode } from "./modes";
import { interlaced, type WeaveAsked } from "./interlaced";
import { withOffsets, type Offset } from "./offsets";
import { numbersAround, orbitsOf } from "./orbits";
import { standing } from "./standing";
import type { WovenCrossing } from "./weave/weave";

/** What is asked of the copies, with other parts' areas as they stand on the sheet. */
export interface JoinAsked {
  readonly mode: JoinMode;
  readonly dropDoubled: boolean;
  readonly paint: FacePaint;
  readonly limits: Limits;
  /** Where the part's own centre is on the sheet: orbits are numbered from it. */
  readonly centre: Point;
  readonly weave: WeaveAsked;
  readonly offset: Offset | null;
}

/** Copies as they are to be painted: outlines on the sheet, each once where it is. */
export interface JoinedCopies {
  readonly shapes: readonly Shape[];
  readonly placements: Placements;
  /** For joins into faces: what each outline is coloured by. */
  readonly colorOf: Int32Array | null;
  /** For joins into faces: the name of each outline that is one, by its orbit and its number around it. */
  readonly faceOf: readonly (string | null)[] | null;
  /** For weaves: the places where strands cross. */
  readonly crossings: readonly WovenCrossing[] | null;
  readonly told: readonly string[];
}

export interface Composed {
  readonly shapes: readonly Shape[];
  readonly placements: Placements;
}

/** Whether a join changes anything. */
export function isJoined({
  mode,
  dropDoubled,
  limits,
  offset,
}: Pick<JoinAsked, "mode" | "dropDoubled" | "limits" | "offset">): boolean {
  return mode !== "apart" || dropDoubled || limits.taken !== null || limits.kept !== null || offset !== null;
}

/** Joins copies. The geometry engine must have been loaded. */
export function joinCopies(composed: Composed, asked: JoinAsked): JoinedCopies {
  switch (asked.mode) {
    case "apart":
      return beside(apart(composed, asked), asked);
    case "merge":
      return beside(whole(united(outlinesOf(composed)), composed, asked), asked);
    case "evenOdd":
      return beside(whole(alternating(outlinesOf(composed)), composed, asked), asked);
    case "faces":
      return inFaces(composed, asked);
    case "weave":
      return interlaced(composed, outlinesOf(composed), asked);
  }
}

function beside(joined: JoinedCopies, { offset }: JoinAsked): JoinedCopies {
  return offset ? { ...joined, ...withOffsets(joined, offset) } : joined;
}

/** The outlines of all copies as they stand on the sheet. */
function outlinesOf({ shapes, placements }: Composed): Path[] {
  return Array.from({ length: placements.count }, (_, copy) =>
    transformPath(shapes[placements.shapeOf?.[copy] ?? 0]?.path ?? [], matrixAt(placements.matrices, copy)),
  );
}

const isArea = (path: Path) => path.filter(({ closed }) => closed);
const isLine = (path: Path) => path.filter(({ closed }) => !closed);

/** The union of areas; lines stay as they are. */
function united(outlines: readonly Path[]): Path {
  return [...combine(outlines.map(isArea), "union"), ...outlines.flatMap(isLine)];
}

/** Areas filled where an odd number of them lie. */
function alternating(outlines: readonly Path[]): Path {
  return [...combine([outlines.flatMap(isArea)], "union", "evenodd"), ...outlines.flatMap(isLine)];
}

function whole(path: Path, { shapes }: Composed, { limits }: JoinAsked): JoinedCopies {
  const told = lostColors(shapes);
  const outline = withinLimits(path, limits);
  return {
    shapes: [{ path: outline, pieces: null }],
    placements: standing(1),
    colorOf: null,
    faceOf: null,
    crossings: null,
    told,
  };
}

/** Each copy by itself, cut and kept, its number and paint its own; doubled lines once over all. */
function apart(composed: Composed, { limits, dropDoubled }: JoinAsked): JoinedCopies {
  const { shapes, placements } = composed;
  const placed = outlinesOf(composed).map((path, copy): Shape => {
    const pieces = shapes[placements.shapeOf?.[copy] ?? 0]?.pieces ?? null;
    const matrix = matrixAt(placements.matrices, copy);
    const limited = (outline: Path, rule: Piece["fillRule"]) => withinLimits(outline, limits, rule);
    if (!pieces) return { path: limited(path, "nonzero"), pieces: null };
    const cut = pieces.map(({ at: _placed, ...piece }): Piece => {
      const outline = transformPath(pieceOutline({ ...piece, ...(_placed && { at: _placed }) }), matrix);
      const next = limited(outline, piece.fillRule);
      return { ...piece, path: next, fillRule: next === outline ? piece.fillRule : "nonzero" };
    });
    return { path: cut.flatMap((piece) => piece.path), pieces: cut };
  });
  const once = dropDoubled ? drawnOnce(placed) : placed;
  const stood = standing(once.length);
  const kept: Placements = {
    ...placements,
    matrices: stood.matrices,
    shapeOf: stood.shapeOf,
  };
  return { shapes: once, placements: kept, colorOf: null, faceOf: null, crossings: null, told: [] };
}

/** Fills as they are, and of every outline only the stretches no outline before it has drawn. */
function drawnOnce(shapes: readonly Shape[]): Shape[] {
  const lines = withoutDoubled(shapes.map(({ path }) => path));
  return shapes.map((shape, copy) => {
    const line = lines[copy] ?? shape.path;
    if (shape.pieces || line === shape.path) return shape;
    return { path: shape.path, pieces: [filled(shape.path), lined(line)] };
  });
}

function filled(path: Path): Piece {
  return { path, fill: "finish", fillRule: "nonzero", line: NO_LINE, opacity: 1 };
}

function lined(path: Path): Piece {
  return { path, fill: null, fillRule: "nonzero", line: null, opacity: 1 };
}

/** The closed regions of all outlines, each coloured by itself; lines drawn once over them. */
function inFaces(composed: Composed, asked: JoinAsked): JoinedCopies {
  const { limits } = asked;
  const outlines = outlinesOf(composed);
  // What keeps also bounds: faces end at its edge.
  const bounding = limits.kept ? [...outlines, limits.kept.path] : outlines;
  const keeper = limits.kept ? outlines.length : -1;
  const isKept = (covering: readonly number[]) => keeper < 0 || covering.includes(keeper);
  const coverers = (covering: readonly number[]) => covering.filter((source) => source !== keeper).length;
  const lineArt = outlines.every((path) => isArea(path).length === 0);
  const { faces } = arrange(bounding, (covering) => isKept(covering) && (lineArt || coverers(covering) > 0));
  // A region between copies that none of them covers stays hollow, unless only lines bound it.
  const shown = faces.filter(({ covering }) => isKept(covering) && (lineArt || coverers(covering) > 0));
  const orbits = orbitsOf(shown, composed.placements, asked.centre);
  const around = numbersAround(shown, orbits, asked.centre);
  const numberOf = (face: Face, orbit: number) => {
    if (asked.paint === "depth") return Math.max(0, coverers(face.covering) - 1);
    return asked.paint === "alternate" ? face.group : orbit;
  };
  const cut = { taken: limits.taken, kept: null };
  const colored = shown.map((face, index) => {
    const orbit = orbits[index] ?? 0;
    const name = `${orbit}.${around[index] ?? 0}`;
    return { path: withinLimits(face.outline, cut), color: numberOf(face, orbit), name };
  });
  const lines = withoutDoubled(outlines).flatMap((line) => withinLimits(linesOnly(line), limits));
  const shapes: Shape[] = [
    ...colored.map(({ path }) => ({ path, pieces: [filled(path)] })),
    { path: lines, pieces: [lined(lines)] },
  ];
  return {
    shapes,
    placements: standing(shapes.length),
    colorOf: Int32Array.from([...colored.map(({ color }) => color), 0]),
    faceOf: [...colored.map(({ name }) => name), null],
    crossings: null,
    told: lostColors(composed.shapes),
  };
}

/** Outlines as lines, so that cutting them leaves no new edges. */
function linesOnly(path: Path): Path {
  return path.map(({ closed, coordinates }) => {
    if (!closed) return { closed, coordinates };
    const ends = [coordinates.at(-2), coordinates.at(-1)];
    const returns = ends[0] === coordinates[0] && ends[1] === coordinates[1];
    const [x = 0, y = 0] = coordinates;
    const [ex = 0, ey = 0] = ends;
    return { closed: false, coordinates: returns ? coordinates : [...coordinates, ex, ey, x, y, x, y] };
  });
}
