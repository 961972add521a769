/** A symmetry operation in shares of the cell's two sides: x' = a·x + b·y + e, y' = c·x + d·y + f. */
export type CellOperation = readonly [a: number, b: number, c: number, d: number, e: number, f: number];

/** What a group asks of its cell: any parallelogram, a rectangle, a square, or two equal sides at 120°. */
export type CellShape = "oblique" | "rectangular" | "square" | "hexagonal";

/** A plane group: the shape of its cell and its operations. */
interface PlaneGroup {
  readonly shape: CellShape;
  /** The images of a point in general position inside one cell. */
  readonly operations: readonly CellOperation[];
}

const HALF = 0.5;
const same: CellOperation = [1, 0, 0, 1, 0, 0];
const halfTurn: CellOperation = [-1, 0, 0, -1, 0, 0];
const across = (e = 0, f = 0): CellOperation => [-1, 0, 0, 1, e, f];
const down = (e = 0, f = 0): CellOperation => [1, 0, 0, -1, e, f];
const quarter: readonly CellOperation[] = [
  [0, -1, 1, 0, 0, 0],
  [0, 1, -1, 0, 0, 0],
];
const diagonals = (e = 0): readonly CellOperation[] => [
  [0, 1, 1, 0, e, e],
  [0, -1, -1, 0, e, e],
];
const thirds: readonly CellOperation[] = [
  [0, -1, 1, -1, 0, 0],
  [-1, 1, -1, 0, 0, 0],
];
const sixths: readonly CellOperation[] = [halfTurn, [0, 1, -1, 1, 0, 0], [1, -1, 1, 0, 0, 0]];
/** Mirrors of p3m1 and of p31m. */
const long: readonly CellOperation[] = [
  [0, -1, -1, 0, 0, 0],
  [-1, 1, 0, 1, 0, 0],
  [1, 0, 1, -1, 0, 0],
];
const short: readonly CellOperation[] = [
  [0, 1, 1, 0, 0, 0],
  [1, -1, 0, -1, 0, 0],
  [-1, 0, -1, 1, 0, 0],
];

/** Each operation, and each again in the middle of the cell. */
function centred(operations: readonly CellOperation[]): CellOperation[] {
  return [...operations, ...operations.map(([a, b, c, d, e, f]): CellOperation => [a, b, c, d, e + HALF, f + HALF])];
}

const rectangularMirrors = [same, halfTurn, across(), down()];

/**
 * The 17 plane groups under their symbols, with the general positions of the International Tables for
 * Crystallography, volume A. In hexagonal cells the second side stands 120° from the first.
 */
export const PLANE_GROUPS = {
  p1: { shape: "oblique", operations: [same] },
  p2: { shape: "oblique", operations: [same, halfTurn] },
  pm: { shape: "rectangular", operations: [same, across()] },
  pg: { shape: "rectangular", operations: [same, across(0, HALF)] },
  cm: { shape: "rectangular", operations: centred([same, across()]) },
  p2mm: { shape: "rectangular", operations: rectangularMirrors },
  p2mg: { shape: "rectangular", operations: [same, halfTurn, across(HALF, 0), down(HALF, 0)] },
  p2gg: { shape: "rectangular", operations: [same, halfTurn, across(HALF, HALF), down(HALF, HALF)] },
  c2mm: { shape: "rectangular", operations: centred(rectangularMirrors) },
  p4: { shape: "square", operations: [same, halfTurn, ...quarter] },
  p4mm: { shape: "square", operations: [...rectangularMirrors, ...quarter, ...diagonals()] },
  p4gm: {
    shape: "square",
    operations: [same, halfTurn, ...quarter, across(HALF, HALF), down(HALF, HALF), ...diagonals(HALF)],
  },
  p3: { shape: "hexagonal", operations: [same, ...thirds] },
  p3m1: { shape: "hexagonal", operations: [same, ...thirds, ...long] },
  p31m: { shape: "hexagonal", operations: [same, ...thirds, ...short] },
  p6: { shape: "hexagonal", operations: [same, ...thirds, ...sixths] },
  p6mm: { shape: "hexagonal", operations: [same, ...thirds, ...sixths, ...long, ...short] },
} as const satisfies Readonly<Record<string, PlaneGroup>>;

/** A plane group's symbol. */
export type PlaneGroupSymbol = keyof typeof PLANE_GROUPS;

/** The symbols of the 17 plane groups, in the order they are offered. */
export const PLANE_GROUP_SYMBOLS: readonly PlaneGroupSymbol[] = [
  "p1",
  "p2",
  "pm",
  "pg",
  "cm",
  "p2mm",
  "p2mg",
  "p2gg",
  "c2mm",
  "p4",
  "p4mm",
  "p4gm",
  "p3",
  "p3m1",
  "p31m",
  "p6",
  "p6mm",
];
