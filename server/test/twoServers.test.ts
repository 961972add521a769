import { join } from "node:path";
import { expect, test } from "@jest/globals";
import { createClient } from "@libsql/client";
import { answer, callsTo } from "./calls";
import { startDatabaseServer } from "./databaseServer";
import { emptyDataFolder, startServer, type Running } from "./running";
import { DEMO, DESIGN } from "./served";

const PLATE = { ...DESIGN, parts: [{ id: "a", motif: { kind: "disc", radius: 20 }, solid: { depth: 4 } }] };

/** A database that nobody has used: a file, or one behind a server of its own. */
const DATABASES = [
  [
    "a file",
    () => Promise.resolve({ url: `file:${join(emptyDataFolder(), "shared.db")}`, close: () => Promise.resolve() }),
  ],
  ["behind a server of its own", () => startDatabaseServer(join(emptyDataFolder(), "shared.db"))],
] as const;

/** Two servers that begin at once on one database. */
function twoServersOn(url: string): Promise<readonly [Running, Running]> {
  const start = () => startServer(emptyDataFolder(), { DATABASE_URL: url });
  return Promise.all([start(), start()]);
}

test.each(DATABASES)(
  "two servers on one database, %s: seeded once, saved on by both, and what one that is gone did is put in order by the other",
  async (_, begin) => {
    const { url, close } = await begin();
    const servers = await twoServersOn(url);
    const [one, two] = [callsTo(servers[0]), callsTo(servers[1])];
    try {
      for (const { call } of [one, two]) {
        expect((await answer(call("/api/designs"))).designs.map(({ id }) => id).sort()).toEqual([...DEMO].sort());
      }

      const { id } = await answer(one.send("POST", "/api/designs", DESIGN));
      const taken: number[] = [];
      const write = async ({ call, send }: typeof one, name: string) => {
        for (let saved = 0; saved < 10;) {
          const revision = (await call(`/api/designs/${id}`)).headers.get("ETag") ?? "";
          const put = await send(
            "PUT",
            `/api/designs/${id}`,
            { ...DESIGN, name: `${name} ${saved}` },
            { "If-Match": revision },
          );
          if (put.status !== 200) {
            expect(put.status).toBe(412);
            continue;
          }
          taken.push((await answer(put)).revision);
          saved += 1;
        }
      };
      await Promise.all([write(one, "one"), write(two, "two")]);
      // Of those that build on one revision exactly one is taken.
      expect([...taken].sort((a, b) => a - b)).toEqual(Array.from({ length: 20 }, (_, k) => k + 2));

      const mesh = await (await one.send("POST", "/api/make?as=stl", PLATE)).arrayBuffer();
      const job = await answer(one.call("/api/jobs?device=solid&pace=1", { method: "POST", body: mesh }));
      const stateAt = async ({ call }: typeof one) => (await answer(call(`/api/jobs/${job.id}`))).state;
      expect(await stateAt(two)).toBe("running");
      expect((await two.call(`/api/jobs/${job.id}/stop`, { method: "POST" })).status).toBe(409);
      await servers[0].kill();
      expect((await two.send("POST", "/api/designs", DESIGN)).status).toBe(201);
      // As if it had not said for a while that it is there.
      const client = createClient({ url });
      await client.execute("update servers set seen = seen - 60000 where id in (select server from jobs)");
      client.close();
      while ((await stateAt(two)) !== "interrupted") await new Promise((rest) => setTimeout(rest, 200));
    } finally {
      await Promise.all(servers.map(({ kill }) => kill()));
      await close();
    }
  },
  120_000,
);

test("however many are begun at once, at each of two servers no more devices run than it has processes for", async () => {
  const { url, close } = await startDatabaseServer(join(emptyDataFolder(), "shared.db"));
  const servers = await twoServersOn(url);
  const [one, two] = [callsTo(servers[0]), callsTo(servers[1])];
  try {
    const mesh = await (await one.send("POST", "/api/make?as=stl", PLATE)).arrayBuffer();
    const begun = await Promise.all(
      Array.from({ length: 12 }, (_, k) =>
        (k % 2 === 0 ? one : two).call("/api/jobs?device=solid&pace=1", { method: "POST", body: mesh }),
      ),
    );
    for (const server of [0, 1]) {
      const own = begun.filter((_, k) => k % 2 === server).map(({ status }) => status);
      expect(own.sort()).toEqual([201, 201, 201, 201, 503, 503]);
    }
  } finally {
    await Promise.all(servers.map(({ kill }) => kill()));
    await close();
  }
}, 60_000);
