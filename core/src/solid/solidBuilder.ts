import type { Design } from "../design/design";
import { loadSolidEngine } from "../engines/solidEngine";
import { prepareFor, type Host } from "../scene/needs";
import { SceneBuilder } from "../scene/sceneBuilder";
import type { Problem } from "../formula/problem";
import { makeBodies, tooManyTriangles, trianglesOf, type SolidModel } from "./bodies";
import { designForSolids, SolidLayouter, type SolidLayout } from "./layout";
import { picturedBodies, picturedLayout, solidPicture } from "./picture";
import type { Breath } from "./uniting";

/** Computes designs into solids, remembering what did not change: outlines, and the meshes made of them. */
export class SolidBuilder {
  private readonly scenes = new SceneBuilder();
  private readonly layouter = new SolidLayouter();

  constructor(private readonly host: Host) {}

  /**
   * Loads what a design needs, and gives its parts height. `tolerance` is how far straight pieces may leave curves,
   * millimetres. What could not be computed stays as it last was.
   */
  async layOut(design: Design, tolerance: number): Promise<SolidLayout> {
    const flat = designForSolids(design);
    await Promise.all([prepareFor(flat, this.host), loadSolidEngine(this.host.solidEngine)]);
    const scene = this.scenes.build(flat);
    const layout = this.layouter.layOut(design, scene, tolerance);
    return { ...layout, problems: [...scene.problems, ...layout.problems] };
  }

  /** The same, united by colour and cut. */
  async unite(design: Design, tolerance: number, breathe: Breath): Promise<SolidModel> {
    return makeBodies(await this.layOut(design, tolerance), breathe);
  }

  /** A picture of it: RGBA bytes, rows from the top; or what is wrong. */
  async picture(design: Design, width: number, height: number): Promise<SolidPicture> {
    const layout = await this.layOut(design, PICTURE_TOLERANCE);
    const problem = layout.problems[0] ?? tooManyTriangles(layout);
    if (problem) return { problem };
    const size = layout.parts.reduce((sum, part) => sum + trianglesOf(part), 0);
    // Small pictures show cuts where those take no time.
    const isCut = layout.parts.some(({ role }) => role === "cutter") && size <= MOST_CUT;
    const pictured = isCut
      ? picturedBodies((await makeBodies(layout, () => Promise.resolve())).bodies)
      : picturedLayout(layout);
    return { pixels: solidPicture(pictured, width, height) };
  }
}

/** Pixels, or why there are none. */
export type SolidPicture = { readonly pixels: Uint8ClampedArray<ArrayBuffer> } | { readonly problem: Problem };

/** How finely small pictures show curves, millimetres. */
const PICTURE_TOLERANCE = 0.1;
/** Triangles that are cut for a small picture. */
const MOST_CUT = 200_000;
