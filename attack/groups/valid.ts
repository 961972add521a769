import { randomFrom } from "../../core/src/geometry/random";
import { FORMATS } from "../../core/src/make/list";
import { designWithin } from "../generate/designWithin";
import { keepFaulty } from "../keepFaulty";
import { pick } from "../mutate/pick";
import { reported, type Reported } from "../reported";
import { tried, type NamedTrial } from "../tried";

/** What a valid design may take, and what may pass before one is refused for what it would cost. */
export const VALID_LIMITS = { seconds: 60, computed: 10, files: 20, refused: 1, megabytes: 1_500 };

const ENDINGS = FORMATS.map(({ extension }) => extension).filter((extension) => extension !== "frames.zip");

/** Designs of any kinds and numbers within the limits of the tables, each made as one kind of file. */
export function validTrials(many: number, seed: number): NamedTrial[] {
  return Array.from({ length: many }, (_, index) => {
    const random = randomFrom(seed + index);
    const design = designWithin(random);
    return {
      name: `valid ${seed + index}`,
      trial: { design, as: [pick(ENDINGS, random)], picture: random() < 0.5, options: { dpi: 60 } },
    };
  });
}

/** Valid designs, many of which cost much. */
export async function valid(many = 2_000, seed = 1): Promise<Reported[]> {
  const done = await tried(validTrials(many, seed), VALID_LIMITS);
  keepFaulty(done);
  return [reported("valid designs", done)];
}
