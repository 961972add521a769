import { designs } from "./groups/designs";
import { deviceFiles } from "./groups/deviceFiles";
import { disk } from "./groups/disk";
import { edits } from "./groups/edits";
import { hangers } from "./groups/hangers";
import { heavy } from "./groups/heavy";
import { kills } from "./groups/kills";
import { structures } from "./groups/structures";
import { svgs } from "./groups/svgs";
import { valid } from "./groups/valid";
import { writers } from "./groups/writers";
import { zips } from "./groups/zips";
import { printReport, type Reported } from "./reported";

/** Every kind of attack, by name; each is given how many it makes, where that is said. */
const GROUPS: Readonly<Record<string, (many?: number) => Promise<Reported[]>>> = {
  structures,
  designs,
  valid,
  svgs,
  kills,
  writers,
  hangers,
  disk,
  zips,
  deviceFiles,
  edits,
  heavy,
};

const [, , ...words] = process.argv;
const many = words.map(Number).find((number) => number > 0);
const asked = words.filter((word) => word in GROUPS);
const lines: Reported[] = [];
for (const name of asked.length > 0 ? asked : Object.keys(GROUPS)) {
  console.error(`${name} …`);
  lines.push(...((await GROUPS[name]?.(many)) ?? []));
}
printReport(lines);
process.exitCode = lines.some(({ faults }) => faults.length > 0) ? 1 : 0;
