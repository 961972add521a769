import { expect, test } from "@jest/globals";
import { callsTo } from "./calls";
import { newDataFolder, startServer } from "./running";
import { DESIGN } from "./served";

const gone = (child: { once: (event: "exit", heard: () => void) => unknown }) =>
  new Promise<void>((resolve) => child.once("exit", resolve));

test("what is under way when the server is stopped is answered, and kept; after that nothing is taken", async () => {
  const folder = newDataFolder();
  const server = await startServer(folder);
  const { call: callFirst, send } = callsTo(server);
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
  const underWay = [send("POST", "/api/designs", heavy), send("POST", "/api/make?as=svg", heavy)];
  // Both have come in.
  await new Promise((resolve) => setTimeout(resolve, 150));
  const ended = gone(server.process);
  server.process.kill("SIGTERM");
  const [created, made] = await Promise.all(underWay);
  expect([created?.status, made?.status]).toEqual([201, 200]);
  await ended;
  await expect(callFirst("/api/health")).rejects.toThrow();
  const again = await startServer(folder);
  const { call } = callsTo(again);
  expect((await call(created?.headers.get("Location") ?? "")).status).toBe(200);
  await again.kill();
}, 60_000);
