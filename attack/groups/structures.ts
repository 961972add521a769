import { STRUCTURES } from "../odd/structures";
import { reported, type Reported } from "../reported";
import { tried, type NamedTrial } from "../tried";

export const STRUCTURE_LIMITS = { seconds: 20, computed: 5, files: 20, megabytes: 1_500 };

/** Each of them once. */
export function structureTrials(): NamedTrial[] {
  return STRUCTURES.map(({ name, text }) => ({
    name,
    trial: { design: text, as: ["svg"], picture: true, options: {} },
  }));
}

/** Designs that are deep, wide or winding. */
export async function structures(): Promise<Reported[]> {
  return [reported("deep, wide and winding", await tried(structureTrials(), STRUCTURE_LIMITS))];
}
