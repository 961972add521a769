import type { Mesh } from "../form/mesh";
import { SPACE_IDENTITY, spaceAt, type SpaceMatrix } from "../geometry/space";
import type { SolidBody } from "./bodies";
import type { SolidGroup, SolidLayout } from "./layout";

/** Copies of a mesh to be pictured, each with its place and colour. */
type Pictured = Pick<SolidGroup, "mesh" | "matrices" | "colors">;

/** From where solids are looked at. Degrees. */
export interface Outlook {
  /** 0 from the front, 90 from the right. */
  readonly around: number;
  /** 0 level, 90 from above. */
  readonly above: number;
}

/** From where small pictures are taken. */
export const USUAL_OUTLOOK: Outlook = { around: 25, above: 38 };

/** Pixels to a side that become one: edges are smooth then. */
const FINER = 2;
/** The share of the picture the solids keep clear of at each edge. */
const ROOM = 0.05;
/** Light that comes from nowhere, and from the upper left of whoever looks. */
const AMBIENT = 0.42;
const LIGHT = [-0.42, 0.55, 0.72] as const;

/** The bodies of a layout, each copy by itself. */
export function picturedLayout({ parts }: SolidLayout): Pictured[] {
  return parts.filter(({ role }) => role === "body").flatMap(({ groups }) => groups);
}

/** United bodies, where they are. */
export function picturedBodies(bodies: readonly SolidBody[]): Pictured[] {
  return bodies.map(({ mesh, color }) => ({ mesh, matrices: Float64Array.from(SPACE_IDENTITY), colors: [color] }));
}

/**
 * Solids as seen from one side, fitted into so many pixels: RGBA bytes, rows from the top, clear where nothing stands.
 * Parallel projection, a depth buffer, faces lit by their slant; the same bytes everywhere.
 */
export function solidPicture(
  pictured: readonly Pictured[],
  width: number,
  height: number,
  outlook = USUAL_OUTLOOK,
): Uint8ClampedArray<ArrayBuffer> {
  const view = viewFrom(outlook);
  const seen = pictured.flatMap((group) =>
    group.colors.map((color, index) => ({ mesh: group.mesh, at: spaceAt(group.matrices, index), color })),
  );
  const canvas = new Canvas(width * FINER, height * FINER);
  const corners = seen.map(({ mesh, at }) => projected(mesh, at, view));
  canvas.fit(corners);
  seen.forEach(({ mesh, color }, index) => canvas.paint(mesh, corners[index] ?? new Float64Array(), rgbOf(color)));
  return canvas.smooth(FINER);
}

type Axis = readonly [number, number, number];

/** To the right, up and towards whoever looks. */
interface View {
  readonly right: Axis;
  readonly up: Axis;
  readonly near: Axis;
}

function viewFrom({ around, above }: Outlook): View {
  const [a, e] = [(around * Math.PI) / 180, (above * Math.PI) / 180];
  return {
    right: [Math.cos(a), Math.sin(a), 0],
    up: [-Math.sin(a) * Math.sin(e), Math.cos(a) * Math.sin(e), Math.cos(e)],
    near: [Math.sin(a) * Math.cos(e), -Math.cos(a) * Math.cos(e), Math.sin(e)],
  };
}

/** Every corner as it is seen: across, up, near. */
function projected({ positions }: Mesh, m: SpaceMatrix, { right, up, near }: View): Float64Array {
  const rows = [right, up, near].map(([x, y, z]) => [
    x * m[0] + y * m[1] + z * m[2],
    x * m[3] + y * m[4] + z * m[5],
    x * m[6] + y * m[7] + z * m[8],
    x * m[9] + y * m[10] + z * m[11],
  ]);
  const seen = new Float64Array(positions.length);
  for (let k = 0; k + 2 < positions.length; k += 3) {
    const [x = 0, y = 0, z = 0] = [positions[k], positions[k + 1], positions[k + 2]];
    for (let row = 0; row < 3; row++) {
      const [a = 0, b = 0, c = 0, d = 0] = rows[row] ?? [];
      seen[k + row] = a * x + b * y + c * z + d;
    }
  }
  return seen;
}

function rgbOf(color: string): readonly [number, number, number] {
  const part = (from: number) => Number.parseInt(color.slice(from, from + 2), 16) || 0;
  return [part(1), part(3), part(5)];
}

/** Pixels with how near what is painted there is. */
class Canvas {
  private readonly pixels: Uint8ClampedArray<ArrayBuffer>;
  private readonly depth: Float64Array;
  private scale = 1;
  private middle = { x: 0, y: 0 };

  constructor(
    private readonly width: number,
    private readonly height: number,
  ) {
    this.pixels = new Uint8ClampedArray(width * height * 4);
    this.depth = new Float64Array(width * height).fill(-Infinity);
  }

  fit(seen: readonly Float64Array[]): void {
    let [left, right, bottom, top] = [Infinity, -Infinity, Infinity, -Infinity];
    for (const corners of seen) {
      for (let k = 0; k + 2 < corners.length; k += 3) {
        const [x = 0, y = 0] = [corners[k], corners[k + 1]];
        if (x < left) left = x;
        if (x > right) right = x;
        if (y < bottom) bottom = y;
        if (y > top) top = y;
      }
    }
    if (left > right) return;
    const room = 1 - 2 * ROOM;
    this.scale = Math.min(
      (this.width * room) / Math.max(1e-9, right - left),
      (this.height * room) / Math.max(1e-9, top - bottom),
    );
    this.middle = { x: (left + right) / 2, y: (bottom + top) / 2 };
  }

  paint({ triangles }: Mesh, seen: Float64Array, color: readonly [number, number, number]): void {
    const corner = (k: number) => {
      const from = (triangles[k] ?? 0) * 3;
      return {
        x: this.width / 2 + ((seen[from] ?? 0) - this.middle.x) * this.scale,
        y: this.height / 2 - ((seen[from + 1] ?? 0) - this.middle.y) * this.scale,
        z: (seen[from + 2] ?? 0) * this.scale,
      };
    };
    for (let k = 0; k + 2 < triangles.length; k += 3) this.triangle(corner(k), corner(k + 1), corner(k + 2), color);
  }

  private triangle(a: Seen, b: Seen, c: Seen, [red, green, blue]: readonly [number, number, number]): void {
    const area = (b.x - a.x) * (c.y - a.y) - (c.x - a.x) * (b.y - a.y);
    if (Math.abs(area) < 1e-9) return;
    const light = lightOn(a, b, c);
    const [left, right] = [
      Math.max(0, Math.ceil(Math.min(a.x, b.x, c.x) - 0.5)),
      Math.min(this.width - 1, Math.floor(Math.max(a.x, b.x, c.x) - 0.5)),
    ];
    const [top, bottom] = [
      Math.max(0, Math.ceil(Math.min(a.y, b.y, c.y) - 0.5)),
      Math.min(this.height - 1, Math.floor(Math.max(a.y, b.y, c.y) - 0.5)),
    ];
    for (let y = top; y <= bottom; y++) {
      for (let x = left; x <= right; x++) {
        const [px, py] = [x + 0.5, y + 0.5];
        const u = ((c.x - b.x) * (py - b.y) - (c.y - b.y) * (px - b.x)) / area;
        const v = ((a.x - c.x) * (py - c.y) - (a.y - c.y) * (px - c.x)) / area;
        const w = 1 - u - v;
        if (u < 0 || v < 0 || w < 0) continue;
        const z = u * a.z + v * b.z + w * c.z;
        const at = y * this.width + x;
        if (z <= (this.depth[at] ?? 0)) continue;
        this.depth[at] = z;
        this.pixels.set([red * light, green * light, blue * light, 255], at * 4);
      }
    }
  }

  /** The picture with `finer`² pixels made one. */
  smooth(finer: number): Uint8ClampedArray<ArrayBuffer> {
    const [width, height] = [this.width / finer, this.height / finer];
    const smooth = new Uint8ClampedArray(width * height * 4);
    for (let y = 0; y < height; y++) for (let x = 0; x < width; x++) this.mix(x, y, finer, smooth, (y * width + x) * 4);
    return smooth;
  }

  private mix(x: number, y: number, finer: number, into: Uint8ClampedArray, to: number): void {
    let [red, green, blue, alpha] = [0, 0, 0, 0];
    for (let k = 0; k < finer * finer; k++) {
      const at = ((y * finer + Math.floor(k / finer)) * this.width + x * finer + (k % finer)) * 4;
      if ((this.pixels[at + 3] ?? 0) === 0) continue;
      red += this.pixels[at] ?? 0;
      green += this.pixels[at + 1] ?? 0;
      blue += this.pixels[at + 2] ?? 0;
      alpha++;
    }
    if (alpha > 0) into.set([red / alpha, green / alpha, blue / alpha, (255 * alpha) / (finer * finer)], to);
  }
}

interface Seen {
  readonly x: number;
  readonly y: number;
  readonly z: number;
}

/** How bright a face is by its slant, whichever way round its corners run. */
function lightOn(a: Seen, b: Seen, c: Seen): number {
  // On the screen y runs down; a face that is seen has z towards whoever looks.
  const [ux, uy, uz] = [b.x - a.x, a.y - b.y, b.z - a.z];
  const [vx, vy, vz] = [c.x - a.x, a.y - c.y, c.z - a.z];
  const normal = [uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx] as const;
  const length = Math.hypot(...normal) * Math.hypot(...LIGHT) * Math.sign(normal[2] || 1);
  const facing = (normal[0] * LIGHT[0] + normal[1] * LIGHT[1] + normal[2] * LIGHT[2]) / length;
  return AMBIENT + (1 - AMBIENT) * Math.max(0, facing);
}
