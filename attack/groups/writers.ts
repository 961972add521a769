import { answer, callsTo } from "../../server/test/calls";
import { newDataFolder, startServer } from "../../server/test/running";
import { healthWatch } from "../healthWatch";
import type { Reported } from "../reported";

/** Saves each writer makes. */
const SAVES = 10;

/** Rows of discs united: heavy enough that a file of it takes its time. */
const design = (name: string) => ({
  format: "twin-petal/1",
  name,
  parts: [
    {
      id: "a",
      motif: { kind: "disc", radius: 4 },
      rules: [{ kind: "grid", columns: 40, rows: 30, pitch: { x: 3, y: 3 } }],
      join: { mode: "merge" },
    },
  ],
});

/** Fifty writers on one design at once, files made beside: of those that build on one revision exactly one is taken. */
export async function writers(many = 50): Promise<Reported[]> {
  const server = await startServer(newDataFolder());
  const { call, send } = callsTo(server);
  const { id } = await answer(send("POST", "/api/designs", design("Written")));
  const faults: string[] = [];
  const taken: number[] = [];
  let refused = 0;
  const write = async (writer: number) => {
    for (let saved = 0; saved < SAVES;) {
      const revision = (await call(`/api/designs/${id}`)).headers.get("ETag") ?? "";
      const put = await send("PUT", `/api/designs/${id}`, design(`${writer}.${saved}`), { "If-Match": revision });
      if (put.status === 200) {
        taken.push((await answer(put)).revision);
        saved++;
      } else if (put.status === 412) refused++;
      else return void faults.push(`writer ${writer}: status ${put.status}`);
    }
  };
  const endWatch = healthWatch({ call });
  const making = [1, 2].map(() => send("POST", "/api/make?as=svg", design("Made")));
  await Promise.all(Array.from({ length: many }, (_, writer) => write(writer)));
  for (const { status } of await Promise.all(making)) if (status !== 200) faults.push(`a file: status ${status}`);
  const health = await endWatch();
  faults.push(...health.faults);
  await server.kill();
  const expected = Array.from({ length: many * SAVES }, (_, k) => k + 2);
  const got = [...taken].sort((a, b) => a - b);
  if (got.join() !== expected.join()) faults.push("revisions were taken twice, or left out");
  const cells = [`${many} writers`, `${taken.length} saves`, `${refused} refused`, String(faults.length), health.words];
  return [{ what: "writers at once", cells, faults }];
}
