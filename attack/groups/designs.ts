import { randomFrom } from "../../core/src/geometry/random";
import { pick } from "../mutate/pick";
import { mutatedDesign } from "../mutate/mutateDesign";
import { keepFaulty } from "../keepFaulty";
import { reported, type Reported } from "../reported";
import { seedDesigns } from "../seeds";
import { tried, type NamedTrial } from "../tried";

/** What a changed design may take: its picture is made, or it is refused, within five seconds. */
export const DESIGN_LIMITS = { seconds: 40, computed: 5, files: 20, megabytes: 1_500 };

/** Files each of which is made by another way. */
const FILES = ["svg", "pdf", "png", "dxf", "gcode", "stitch.json", "stl", "tile.svg", "print.png"];

/** Designs changed by chance, the same for the same seed. */
export function designTrials(many: number, seed: number): NamedTrial[] {
  const seeds = seedDesigns();
  return Array.from({ length: many }, (_, index) => {
    const random = randomFrom(seed + index);
    const design = mutatedDesign(seeds, random);
    const as = [pick(FILES, random)];
    return { name: `design ${seed + index}`, trial: { design, as, picture: true, options: { dpi: 60 } } };
  });
}

/** Ten thousand designs changed by chance. */
export async function designs(many = 10_000, seed = 1): Promise<Reported[]> {
  const done = await tried(designTrials(many, seed), DESIGN_LIMITS);
  keepFaulty(done);
  return [reported("changed designs", done)];
}
