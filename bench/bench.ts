import { parseArgs } from "node:util";
import { tellAgainst } from "./against";
import type { Group } from "./group";
import { GROUPS } from "./groups";
import { keep, measuredNow, standing, touched } from "./measurements";
import { cellsOf, HEADS, printTable } from "./table";
import { inTurns } from "./turns";

/**
 * `npm run bench` measures everything and keeps it; with names of groups it measures those. `--against` keeps nothing and says what
 * is worse than what stands, of the groups named or of those that have changed since; `--quick` does so of the quick ones, in one turn.
 */
const { values, positionals } = parseArgs({
  options: {
    against: { type: "boolean" },
    quick: { type: "boolean" },
    turns: { type: "string" },
  },
  allowPositionals: true,
});
const unknown = positionals.filter((name) => !GROUPS.some((group) => group.name === name));
if (unknown.length > 0) {
  console.error(`There is no group ${unknown.join(", ")}; there are ${GROUPS.map(({ name }) => name).join(", ")}.`);
  process.exit(2);
}
const turns = Number(values.turns ?? (values.quick ? 1 : 3));
const before = standing();

if (values.against || values.quick) {
  let worse = 0;
  for (const group of wanted()) worse += tellAgainst(group.name, await inTurns(group, turns), before);
  console.log(worse === 0 ? "\nNothing is worse than what stands." : `\n${worse} worse than what stands.`);
} else {
  let measurements = before;
  for (const group of wanted()) {
    const rows = await inTurns(group, turns);
    console.log(`\n${group.name}`);
    printTable([HEADS, ...rows.map(cellsOf)]);
    measurements = { ...measurements, [group.name]: measuredNow(rows) };
    // Kept group by group: measuring all takes long.
    await keep(measurements);
  }
}

function wanted(): readonly Group[] {
  if (positionals.length > 0) return GROUPS.filter(({ name }) => positionals.includes(name));
  if (values.quick) return GROUPS.filter(({ quick }) => quick);
  return values.against ? touched(before) : GROUPS;
}
