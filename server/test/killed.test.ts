import { expect, test } from "@jest/globals";
import { createClient } from "@libsql/client";
import { join } from "node:path";
import { answer, callsTo } from "./calls";
import { newDataFolder, startServer } from "./running";
import { DESIGN } from "./served";

/** Does something again and again until it fails. */
async function untilItFails(act: (round: number) => Promise<void>): Promise<void> {
  try {
    for (let round = 0; ; round++) await act(round);
  } catch {
    // The server has gone.
  }
}

const rest = (milliseconds: number) => new Promise((resolve) => setTimeout(resolve, milliseconds));

test("of takes, pieces and saves that were answered none is lost although the process is killed in the middle of others", async () => {
  const folder = newDataFolder();
  const takes = new Map<number, string>();
  const pieces = new Set<string>();
  let saved = 0;
  for (let round = 0; round < 2; round++) {
    const doomed = await startServer(folder);
    const { send } = callsTo(doomed);
    const named = (name: string) => ({ ...DESIGN, name });
    const before = [takes.size, pieces.size] as const;
    const writing = [
      untilItFails(async (step) => {
        const save = await send("PUT", "/api/designs/plaster-fan", named(`${round} ${step}`), { "If-Match": "*" });
        const { revision } = await answer(save);
        saved = revision;
        const name = `Take ${round}.${step}`;
        const kept = await send("POST", "/api/designs/plaster-fan/takes", { name }, { "If-Match": `"${revision}"` });
        if (kept.status === 201) takes.set(revision, name);
      }),
      untilItFails(async (step) => {
        const put = await send("POST", "/api/shelf?kind=rules", named(`Rules ${round}.${step}`));
        if (put.status === 201) pieces.add((await answer(put)).id);
      }),
    ];
    // Both are under way; then the end comes at another moment each time.
    while (takes.size < before[0] + 2 || pieces.size < before[1] + 2) await rest(5);
    await rest(3 + 30 * round);
    await doomed.kill();
    await Promise.all(writing);
  }
  expect(takes.size).toBeGreaterThanOrEqual(4);
  expect(pieces.size).toBeGreaterThanOrEqual(4);
  const revived = await startServer(folder);
  const { call } = callsTo(revived);
  const kept: { takes: { revision: number; name: string }[] } = JSON.parse(
    await (await call("/api/designs/plaster-fan/takes")).text(),
  );
  const there = new Map(kept.takes.map(({ revision, name }) => [revision, name]));
  for (const [revision, name] of takes) expect([revision, there.get(revision)]).toEqual([revision, name]);
  const present = await call("/api/designs/plaster-fan");
  expect(Number(present.headers.get("ETag")?.replaceAll('"', ""))).toBeGreaterThanOrEqual(saved);
  const shelf: { pieces: { id: string }[] } = JSON.parse(await (await call("/api/shelf")).text());
  const onShelf = new Set(shelf.pieces.map(({ id }) => id));
  for (const id of pieces) expect(onShelf.has(id)).toBe(true);
  await revived.kill();
  const client = createClient({ url: `file:${join(folder, "twin-petal.db")}` });
  expect((await client.execute("PRAGMA integrity_check")).rows).toEqual([{ integrity_check: "ok" }]);
  client.close();
}, 60_000);
