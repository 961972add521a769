import { createClient } from "@libsql/client";
import { join } from "node:path";
import { answer, callsTo } from "../../server/test/calls";
import { newDataFolder, startServer } from "../../server/test/running";
import type { Reported } from "../reported";

const NAME = "Killed";
const design = (name: string) => ({
  format: "twin-petal/1",
  name,
  parts: [{ id: "a", motif: { kind: "petal" }, rules: [{ kind: "turn", count: 12 }] }],
});

/** Two hundred times the server is killed in the middle of saves; what was answered must be there again. */
export async function kills(many = 200): Promise<Reported[]> {
  const folder = newDataFolder();
  const first = await startServer(folder);
  const { id } = await answer(callsTo(first).send("POST", "/api/designs", design(NAME)));
  await first.kill();
  const faults: string[] = [];
  let [answered, last] = [0, 1];
  for (let round = 0; round < many; round++) {
    const server = await startServer(folder);
    const { call, send } = callsTo(server);
    const revision = Number((await call(`/api/designs/${id}`)).headers.get("ETag")?.replaceAll('"', "") ?? 0);
    if (revision < last) faults.push(`kill ${round}: revision ${last} was answered, and ${revision} is there`);
    last = revision;
    let killing: Promise<void> | null = null;
    for (let step = 0; ; step++) {
      try {
        const saved = await send("PUT", `/api/designs/${id}`, design(`${NAME} ${round}.${step}`), {
          "If-Match": `"${last}"`,
        });
        if (saved.status !== 200) throw new Error(`status ${saved.status}`);
        last = (await answer(saved)).revision;
        answered++;
      } catch (error) {
        if (!killing) faults.push(`kill ${round}: ${String(error)}`);
        break;
      }
      // Another moment each time.
      if (step === 2) setTimeout(() => void (killing = server.kill()), (round * 7) % 23);
    }
    await (killing ?? server.kill());
  }
  const client = createClient({ url: `file:${join(folder, "twin-petal.db")}` });
  const check = JSON.stringify((await client.execute("PRAGMA integrity_check")).rows);
  client.close();
  if (!check.includes("ok")) faults.push(`the database is damaged: ${check}`);
  return [
    { what: "kills during saves", cells: [String(many), `${answered} saves`, "", String(faults.length)], faults },
  ];
}
