import fc from "fast-check";

/** The seed `npm run hunt` has chosen, or was given, for members no run before has had; null in other runs. */
const given = process.env["MEMBERS"];
export const HUNTED = given === undefined ? null : Number(given);

/** How many members a property takes: so many, or `TIMES` as many where that is set. */
export const members = (usual: number): number => usual * Number(process.env["TIMES"] ?? 1);

/** The random members of every property: the same in each run, so that a failing run speaks of the change it runs on. */
fc.configureGlobal({ seed: HUNTED ?? 7 });
