import { expect, test } from "@jest/globals";
import { HUNTED } from "../core/test/randomMembers";
import { designTrials, DESIGN_LIMITS } from "./groups/designs";
import { deviceFiles } from "./groups/deviceFiles";
import { structureTrials, STRUCTURE_LIMITS } from "./groups/structures";
import { svgTrials, SVG_LIMITS } from "./groups/svgs";
import { validTrials, VALID_LIMITS } from "./groups/valid";
import { zips } from "./groups/zips";
import type { Reported } from "./reported";
import { tried, type NamedTrial, type TrialLimits } from "./tried";

/** Beside other tests everything takes several times as long: what hangs is told all the same. */
const SLACK = 6;

const SEED = HUNTED ?? 1;
/** Of what is tried here, where new members are asked for so many times as much. */
const MANY = HUNTED === null ? 1 : 3;

async function attacked(trials: readonly NamedTrial[], { seconds, computed, files, megabytes }: TrialLimits) {
  const limits = { seconds: seconds * SLACK, computed: computed * SLACK, files: files * SLACK, megabytes };
  const done = await tried(trials, limits);
  expect(done.filter(({ faults }) => faults.length > 0).map(({ name, faults }) => [name, ...faults])).toEqual([]);
  // Everything was either made or refused in words, and there was some of both.
  expect(done.every(({ made, refusals }) => made || refusals.length > 0)).toBe(true);
  expect([true, false].map((made) => done.some((one) => one.made === made))).toEqual([true, true]);
}

test(
  "designs changed by chance are made, or refused in words",
  () => attacked(designTrials(24 * MANY, SEED), DESIGN_LIMITS),
  240_000,
);

test(
  "designs of any kinds and numbers within their limits are made, or refused in words",
  () => attacked(validTrials(8 * MANY, SEED), VALID_LIMITS),
  240_000,
);

test(
  "pictures changed by chance are taken over whole, or refused in words",
  () => attacked(svgTrials(30 * MANY, SEED), SVG_LIMITS),
  240_000,
);

test(
  "designs that are deep, wide or winding are made, or refused in words",
  // A third of them, each kind among it; all where new members are asked for, and by the attack itself.
  () =>
    attacked(
      structureTrials().filter((_, index) => index % 3 <= MANY - 1),
      STRUCTURE_LIMITS,
    ),
  240_000,
);

/** Beside other tests health is answered later. */
const faultsOf = (lines: readonly Reported[]) =>
  lines.flatMap(({ faults }) => faults.filter((fault) => !fault.startsWith("health took")));

test(
  "zips of everything changed by chance are brought, or refused in words, and the wall stays readable",
  async () => expect(faultsOf(await zips(5 * MANY, SEED))).toEqual([]),
  240_000,
);

test(
  "files for devices changed by chance are done, or refused in words",
  async () => expect(faultsOf(await deviceFiles(10 * MANY, SEED))).toEqual([]),
  240_000,
);
