import { once } from "node:events";
import { request, type IncomingMessage } from "node:http";
import { expect, test } from "@jest/globals";
import { callsTo } from "./calls";
import { newDataFolder, startServer } from "./running";
import { DESIGN } from "./served";

const gone = (child: { once: (event: "exit", heard: () => void) => unknown }) =>
  new Promise<void>((resolve) => child.once("exit", resolve));

/** Posts a design; comes back once the server says that it has begun to read it, with the answer to come. */
async function begun(address: string, path: string, design: object): Promise<{ answered: Promise<IncomingMessage> }> {
  const posting = request(`${address}${path}`, {
    method: "POST",
    headers: { "Content-Type": "application/json", Expect: "100-continue" },
  });
  const answered = new Promise<IncomingMessage>((resolve, reject) => {
    posting.once("response", resolve);
    posting.once("error", reject);
  });
  posting.flushHeaders();
  await once(posting, "continue");
  posting.end(JSON.stringify(design));
  return { answered: answered.then((answer) => answer.resume()) };
}

test("what is under way when the server is stopped is answered, and kept; after that nothing is taken", async () => {
  const folder = newDataFolder();
  const server = await startServer(folder);
  const { call: callFirst } = callsTo(server);
  const heavy = {
    ...DESIGN,
    name: "Under way",
    parts: [
      {
        id: "a",
        motif: { kind: "disc", radius: 4 },
        rules: [{ kind: "grid", columns: 30, rows: 20, pitch: { x: 3, y: 3 } }],
        join: { mode: "merge" },
      },
    ],
  };
  const underWay = [];
  for (const path of ["/api/designs", "/api/make?as=svg"]) underWay.push(await begun(server.address, path, heavy));
  const ended = gone(server.process);
  server.process.kill("SIGTERM");
  const [created, made] = await Promise.all(underWay.map(({ answered }) => answered));
  expect([created?.statusCode, made?.statusCode]).toEqual([201, 200]);
  await ended;
  await expect(callFirst("/api/health")).rejects.toThrow();
  const again = await startServer(folder);
  const { call } = callsTo(again);
  expect((await call(created?.headers.location ?? "")).status).toBe(200);
  await again.kill();
}, 60_000);
