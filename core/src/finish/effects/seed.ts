import { number } from "../../fields/number";

/** What chance goes by. */
export const SEED = number("count", 1, { min: 0, max: 1_000_000 });
