import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { randomFrom } from "../../core/src/geometry/random";
import { inRepository } from "../../server/src/settings";
import { mutatedSvg } from "../mutate/mutateSvg";
import { keepFaulty } from "../keepFaulty";
import { reported, type Reported } from "../reported";
import { tried, type NamedTrial } from "../tried";

/** What a changed SVG may take, the picture of what was taken over of it included. */
export const SVG_LIMITS = { seconds: 20, computed: 5, files: 20, megabytes: 1_500 };

const PICTURES = "core/test/pictures";

/** SVGs changed by chance, the same for the same seed. */
export function svgTrials(many: number, seed: number): NamedTrial[] {
  const path = inRepository(PICTURES);
  const seeds = readdirSync(path)
    .filter((name) => name.endsWith(".svg"))
    .map((name) => readFileSync(join(path, name), "utf8"));
  return Array.from({ length: many }, (_, index) => ({
    name: `svg ${seed + index}`,
    trial: { svg: mutatedSvg(seeds, randomFrom(seed + index)) },
  }));
}

/** Two thousand SVGs changed by chance. */
export async function svgs(many = 2_000, seed = 1): Promise<Reported[]> {
  const done = await tried(svgTrials(many, seed), SVG_LIMITS);
  keepFaulty(done);
  return [reported("changed SVGs", done)];
}
