import { STRUCTURES } from "../odd/structures";
import { reported, type Reported } from "../reported";
import { tried } from "../tried";

const LIMITS = { seconds: 10, slow: 5, megabytes: 1_500 };

/** Designs that are deep, wide or winding. */
export async function structures(): Promise<Reported[]> {
  const trials = STRUCTURES.map(({ name, text }) => ({
    name,
    trial: { design: text, as: ["scene.json", "svg"], picture: true, options: {} },
  }));
  return [reported("deep, wide and winding", await tried(trials, LIMITS))];
}
