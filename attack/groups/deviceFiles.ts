import { DEVICES } from "@twin-petal/core";
import { randomFrom } from "../../core/src/geometry/random";
import { answer, callsTo, type Calls } from "../../server/test/calls";
import { newDataFolder, startServer } from "../../server/test/running";
import { healthWatch } from "../healthWatch";
import { oddValue } from "../mutate/oddValues";
import { pick, upTo, type Random } from "../mutate/pick";
import type { Reported } from "../reported";

/** Which file each device reads, of a design that stands up, is cut, sewn and printed. */
const READS: Readonly<Record<string, readonly string[]>> = {
  printer: ["print.pdf"],
  cutter: ["gcode"],
  stitcher: ["stitch.json", "stitch.csv"],
  solid: ["3mf", "stl"],
};
const DESIGN = {
  format: "twin-petal/1",
  parts: [{ id: "a", motif: { kind: "star" }, rules: [{ kind: "turn", count: 3 }], solid: { depth: 2 } }],
};
/** Numbers and names put in the place of others. */
const WORDS = [
  "1e15",
  "1" + "0".repeat(300),
  "-0",
  "NaN",
  "__proto__",
  "constructor",
  "",
  "R0",
  "9".repeat(17),
  "\u0000",
];

/** Two thousand files for devices, with odd settings, in which a few things are not as they should be: done or refused in words. */
export async function deviceFiles(many = 2_000, seed = 1): Promise<Reported[]> {
  const server = await startServer(newDataFolder());
  const calls = callsTo(server);
  const made = await madeFiles(calls);
  const endWatch = healthWatch(calls);
  const faults: string[] = [];
  let [taken, refused, next] = [0, 0, 0];
  const work = async () => {
    for (let index = next++; index < many; index = next++) {
      const random = randomFrom(seed + index);
      const { device, file } = pick(made, random);
      const settings = random() < 0.3 ? encodeURIComponent(JSON.stringify(oddSettings(random))) : "%7B%7D";
      const response = await calls.call(`/api/jobs?device=${device}&settings=${settings}`, {
        method: "POST",
        body: changed(file, random),
        headers: { "Content-Type": "application/octet-stream" },
      });
      const { detail } = await answer(response);
      if (response.status === 201) taken += 1;
      else if (response.status < 500 && detail.length > 10) refused += 1;
      // Others are at work just then: it comes again.
      else if (response.status === 503 && detail.includes("at work already")) next = Math.min(next, index);
      else faults.push(`file ${seed + index} for the ${device}: status ${response.status} ${detail}`);
    }
  };
  await Promise.all([work(), work()]);
  const health = await endWatch();
  await server.kill();
  faults.push(...health.faults);
  return [
    {
      what: "changed device files",
      cells: [String(many), String(taken), String(refused), String(faults.length), health.words],
      faults,
    },
  ];
}

async function madeFiles({ send }: Calls): Promise<{ device: string; file: Uint8Array<ArrayBuffer> }[]> {
  const files: { device: string; file: Uint8Array<ArrayBuffer> }[] = [];
  for (const { kind } of DEVICES) {
    for (const as of READS[kind] ?? []) {
      const response = await send("POST", `/api/make?as=${as}`, DESIGN);
      if (response.status !== 200) throw new Error(`${as}: status ${response.status}`);
      files.push({ device: kind, file: new Uint8Array(await response.arrayBuffer()) });
    }
  }
  return files;
}

function changed(file: Uint8Array<ArrayBuffer>, random: Random): Uint8Array<ArrayBuffer> {
  const bytes = Buffer.from(file);
  const changes = upTo(4, random);
  let out = bytes;
  for (let change = 0; change < changes; change++) {
    const at = upTo(out.length, random);
    if (random() < 0.4) out[at] = upTo(256, random);
    else if (random() < 0.2) out = out.subarray(0, at);
    else
      out = Buffer.concat([out.subarray(0, at), Buffer.from(pick(WORDS, random)), out.subarray(at + upTo(8, random))]);
    if (out.length === 0) break;
  }
  return new Uint8Array(out);
}

function oddSettings(random: Random): unknown {
  if (random() < 0.2) return oddValue(random);
  return Object.fromEntries(
    ["speed", "frame", "tolerance", "layer", "constructor"]
      .slice(0, 1 + upTo(5, random))
      .map((name) => [name, oddValue(random)]),
  );
}
