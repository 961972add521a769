import { zipSync } from "fflate";
import { randomFrom } from "../../core/src/geometry/random";
import { answer, callsTo, type Calls } from "../../server/test/calls";
import { newDataFolder, startServer } from "../../server/test/running";
import { healthWatch } from "../healthWatch";
import { mutatedDesign } from "../mutate/mutateDesign";
import { oddValue } from "../mutate/oddValues";
import { pick, upTo, type Random } from "../mutate/pick";
import type { Reported } from "../reported";
import { seedDesigns } from "../seeds";

/** A zip is brought or refused within so many seconds. */
const SOON = 30;
const utf8 = new TextEncoder();

/** Names that mean something in a language, to a file system, or to nobody. */
const NAMES = [
  "__proto__",
  "constructor",
  "../up.json",
  "/etc/hosts",
  "a".repeat(300),
  "",
  "kept.json",
  "a\u0000b",
  "é.json",
];

/** Two thousand zips of everything in which a few things are not as they should be: brought or refused in words, and the wall stays. */
export async function zips(many = 2_000, seed = 1): Promise<Reported[]> {
  const server = await startServer(newDataFolder());
  const calls = callsTo(server);
  const endWatch = healthWatch(calls);
  const seeds = seedDesigns();
  const faults: string[] = [];
  let [brought, refused, slowest] = [0, 0, 0];
  for (let index = 0; index < many; index++) {
    const random = randomFrom(seed + index);
    const began = performance.now();
    const { status, detail } = await posted(calls, changedZip(seeds, random));
    const seconds = (performance.now() - began) / 1_000;
    slowest = Math.max(slowest, seconds);
    if (status === 200) brought += 1;
    else if (status >= 400 && status < 500 && detail.length > 10) refused += 1;
    else faults.push(`zip ${seed + index}: status ${status} ${detail}`);
    if (seconds > SOON) faults.push(`zip ${seed + index}: took ${seconds.toFixed(1)} s`);
    if (index % 50 === 49)
      faults.push(...(await troubles(calls)).map((trouble) => `after zip ${seed + index}: ${trouble}`));
  }
  faults.push(...(await troubles(calls)));
  const health = await endWatch();
  await server.kill();
  faults.push(...health.faults);
  const cells = [
    String(many),
    String(brought),
    String(refused),
    String(faults.length),
    `${slowest.toFixed(1)} s`,
    health.words,
  ];
  return [{ what: "changed zips", cells, faults }];
}

async function posted({ call }: Calls, body: Uint8Array<ArrayBuffer>): Promise<{ status: number; detail: string }> {
  const response = await call("/api/keep?differing=both", {
    method: "POST",
    body,
    headers: { "Content-Type": "application/zip" },
  });
  return { status: response.status, detail: (await answer(response)).detail ?? "" };
}

/** What is wrong with the wall and what is kept. */
async function troubles({ call }: Calls): Promise<string[]> {
  const list = await call("/api/designs");
  const unreadable = list.status === 200 ? (await answer(list)).unreadable : [];
  const kept = await call("/api/keep");
  await kept.arrayBuffer();
  return [
    ...(list.status === 200 ? [] : [`the wall answers ${list.status}`]),
    ...unreadable.map((id) => `${id} cannot be read`),
    ...(kept.status === 200 ? [] : [`keeping everything answers ${kept.status}`]),
  ];
}

function changedZip(seeds: readonly object[], random: Random): Uint8Array<ArrayBuffer> {
  const files: Record<string, Uint8Array> = {};
  const state = (more: object = {}) => {
    const file = random() < 0.1 ? pick(NAMES, random) : `f${upTo(1e9, random)}.json`;
    // What packs the zip cannot name a file so; the list can.
    if (random() < 0.95 && file !== "__proto__") files[file] = utf8.encode(mutatedDesign(seeds, random));
    return { file, revision: upTo(9, random) + 1, changed: upTo(1e12, random), ...more };
  };
  const designs = Array.from({ length: upTo(4, random) }, (_, index) => ({
    ...state({ id: `zip-${upTo(40, random)}-${index}`, binned: random() < 0.3 }),
    takes: Array.from({ length: upTo(3, random) }, () => state({ name: "Take" })),
  }));
  const pieces = Array.from({ length: upTo(3, random) }, () => ({ file: state().file, kind: "motif" }));
  const list: Record<string, unknown> = { format: "twin-petal-kept/2", designs, pieces };
  if (random() < 0.3) spoil(list, random);
  const zip = zipSync({ "kept.json": utf8.encode(JSON.stringify(list)), ...files });
  if (random() < 0.25) for (let bit = 0; bit < 3; bit++) zip[upTo(zip.length, random)] = upTo(256, random);
  return random() < 0.05 ? zip.slice(0, upTo(zip.length, random)) : zip;
}

/** Puts an odd value somewhere into what is told of the files. */
function spoil(list: Record<string, unknown>, random: Random): void {
  let holder: unknown = list;
  for (let depth = 0; depth < 4; depth++) {
    if (typeof holder !== "object" || holder === null) return;
    const keys = Object.keys(holder);
    const key = pick(keys.length > 0 ? keys : ["odd"], random);
    const within: unknown = Reflect.get(holder, key);
    if (typeof within !== "object" || within === null || random() < 0.3) {
      Reflect.set(holder, key, oddValue(random));
      return;
    }
    holder = within;
  }
}
