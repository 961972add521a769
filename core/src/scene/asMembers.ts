import { colorAt, type Paint } from "../finish/paint";
import { at } from "../geometry/at";
import { addTo } from "../geometry/keyedLists";
import { multiply, type Matrix } from "../geometry/matrix";
import { pieceOutline, type Piece, type PieceHeight, type PieceOf } from "../motif/drawing";
import { carriedBy, NOTHING_CARRIED } from "../rules/carried";
import { shapeOfCopy } from "../rules/copyOutlines";
import { MATRIX_STRIDE, matrixAt, type Placements } from "../rules/placements";
import type { Shape } from "../rules/shape";
import { madeParts } from "./made";
import type { PartScene, Scene } from "./scene";
import { heightWithin } from "./wholePart";

/** A part as it is made. */
export interface MadePart {
  /** What is made: the part, or of a part that repeats others whole the copies of one of them. */
  readonly part: PartScene;
  /** The id of the other part whose copies they are; null for the part itself. */
  readonly member: string | null;
}

/**
 * The parts that are made, bottom first. One that repeats others whole, and does not say itself how it is made, is made as
 * they are: of each of them all copies stand for it, as if each were repeated by itself.
 */
export function asMembers(scene: Scene, saysItself: (part: PartScene) => boolean): MadePart[] {
  const partOf = new Map(scene.parts.map((part) => [part.id, part]));
  return madeParts(scene).flatMap((part): MadePart[] => {
    const itself: MadePart = { part, member: null };
    if (saysItself(part)) return [itself];
    const found = membersOf(part);
    if (found.size === 0) return [itself];
    return [...found].flatMap(([member, copies]): MadePart[] => {
      const own = partOf.get(member);
      return own ? [{ part: repeated(part, own, copies), member }] : [];
    });
  });
}

/** A copy of another part within a part's copy. */
interface MemberCopy {
  /** Its number in the other part. */
  readonly copy: number;
  readonly at: Matrix;
  /** Its outline where that was changed; null for the other part's own. */
  readonly shape: Shape | null;
  readonly height: PieceHeight;
}

/** By the ids of the parts that are repeated whole their copies, all of them; empty where none is. */
function membersOf({ geometry }: PartScene): Map<string, MemberCopy[]> {
  const found = new Map<string, MemberCopy[]>();
  const { placements } = geometry;
  for (let copy = 0; copy < placements.count; copy++) {
    const { pieces } = shapeOfCopy(geometry, copy);
    const matrix = matrixAt(placements.matrices, copy);
    const outer = carriedBy(placements, copy);
    // One copy may be several pieces, which say the same.
    const told = new Set<string>();
    for (const piece of pieces ?? []) {
      const { of } = piece;
      if (!of) continue;
      const name = `${of.part} ${of.copy} ${of.at?.join() ?? told.size}`;
      if (told.has(name)) continue;
      told.add(name);
      addTo(found, of.part, { ...standing(piece, of, matrix), height: heightWithin(outer, piece.height ?? FLAT) });
    }
  }
  return found;
}

const FLAT: PieceHeight = { rise: 0, zScale: 1, tiltX: 0, tiltY: 0 };

function standing(piece: Piece, { copy, at: within }: PieceOf, matrix: Matrix): Omit<MemberCopy, "height"> {
  if (within) return { copy, at: multiply(matrix, within), shape: null };
  return { copy, at: matrix, shape: { path: pieceOutline(piece), pieces: null } };
}

/** Another part's copies in the place of a part that repeats it whole. */
function repeated(part: PartScene, member: PartScene, copies: readonly MemberCopy[]): PartScene {
  const { geometry, finish } = member;
  const shapes = [...geometry.shapes];
  const shapeOf = Uint32Array.from(copies, ({ copy, shape }) =>
    shape ? shapes.push(shape) - 1 : geometry.placements.shapeOf ? at(geometry.placements.shapeOf, copy) : 0,
  );
  const matrices = new Float64Array(copies.length * MATRIX_STRIDE);
  copies.forEach((copy, index) => matrices.set(copy.at, index * MATRIX_STRIDE));
  const placements: Placements = {
    ...NOTHING_CARRIED,
    ...heightsOf(copies),
    count: copies.length,
    matrices,
    shapeOf,
    spans: [],
    slots: null,
  };
  const { faceOf } = geometry;
  return {
    ...member,
    id: part.id,
    name: part.name,
    role: part.role,
    ownRole: part.ownRole,
    visible: part.visible,
    geometry: {
      ...geometry,
      at: part.geometry.at,
      shapes,
      placements,
      copies: { shapes, placements },
      joined: false,
      colorOf: null,
      faceOf: faceOf && copies.map(({ copy }) => faceOf[copy] ?? null),
      crossings: null,
      openings: [],
    },
    finish: {
      ...finish,
      fill: finish.fill && paintOf(finish.fill, member, copies),
      line: finish.line && { ...finish.line, paint: paintOf(finish.line.paint, member, copies) },
    },
  };
}

function heightsOf(copies: readonly MemberCopy[]) {
  const all = (name: keyof PieceHeight) => {
    const values = Float64Array.from(copies, ({ height }) => height[name]);
    return values.every((value) => value === FLAT[name]) ? null : values;
  };
  return { rise: all("rise"), zScale: all("zScale"), tiltX: all("tiltX"), tiltY: all("tiltY") };
}

/** Of every copy the colour the other part's own has. */
function paintOf(paint: Paint, { geometry }: PartScene, copies: readonly MemberCopy[]): Paint {
  const colorOf = colorAt(paint, geometry.placements);
  return { kind: "each", paints: copies.map(({ copy }) => ({ kind: "flat", color: colorOf(copy) })) };
}
