import { answer, callsTo } from "../../server/test/calls";
import { newDataFolder, startServer } from "../../server/test/running";
import type { Reported } from "../reported";

/** Saves each writer makes. */
const SAVES = 10;
/** While saves and files go on health is answered within so many milliseconds, 99 times of 100. */
const HEALTHY = 100;

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
  let isOver = false;
  const waits: number[] = [];
  const watch = async () => {
    while (!isOver) {
      const began = performance.now();
      if ((await call("/api/health")).status !== 200) faults.push("health is not well");
      waits.push(performance.now() - began);
      await new Promise((resolve) => setTimeout(resolve, 20));
    }
  };
  const watching = watch();
  const making = [1, 2].map(() => send("POST", "/api/make?as=svg", design("Made")));
  await Promise.all(Array.from({ length: many }, (_, writer) => write(writer)));
  for (const { status } of await Promise.all(making)) if (status !== 200) faults.push(`a file: status ${status}`);
  isOver = true;
  await watching;
  await server.kill();
  const expected = Array.from({ length: many * SAVES }, (_, k) => k + 2);
  const got = [...taken].sort((a, b) => a - b);
  if (got.join() !== expected.join()) faults.push("revisions were taken twice, or left out");
  const slow = [...waits].sort((a, b) => a - b)[Math.floor(waits.length * 0.99)] ?? 0;
  if (slow > HEALTHY) faults.push(`health took ${slow.toFixed(0)} ms at the 99th of 100`);
  const cells = [
    `${many} writers`,
    `${taken.length} saves`,
    `${refused} refused`,
    String(faults.length),
    `${slow.toFixed(0)} ms health`,
  ];
  return [{ what: "writers at once", cells, faults }];
}
