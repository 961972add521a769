import { createServer, type Server } from "node:http";
import { afterAll, beforeAll, expect, test } from "@jest/globals";
import { pino } from "pino";
import { createApp } from "../src/app";
import { openDatabase, type Database } from "../src/db/database";
import { DesignStore } from "../src/db/designStore";
import { Jobs } from "../src/jobs/jobs";
import { JobStore } from "../src/jobs/jobStore";
import { Keeping } from "../src/keep/keeping";
import { Pictures } from "../src/pictures";
import { Pools } from "../src/pools";
import { readSettings } from "../src/settings";
import { answer, callsTo, type Calls } from "./calls";
import { newDataFolder } from "./running";
import { DESIGN } from "./served";

/** The server in this process, whose database can be kept from growing: to SQLite that is a disk without room. */
let db: Database;
let server: Server;
let own: Calls;
let ended: () => Promise<void>;
const told: unknown[] = [];

beforeAll(async () => {
  const folder = newDataFolder();
  const opened = await openDatabase({ ...readSettings({}), dataFolder: folder });
  db = opened.db;
  const store = new DesignStore(db);
  const pools = new Pools();
  const heard = (error: unknown) => void told.push(error);
  const jobs = new Jobs(new JobStore(db, "here"), heard);
  const app = createApp({
    store,
    pools,
    pictures: new Pictures(store, pools, 3_600_000, heard),
    jobs,
    keeping: new Keeping(store.arrivals, folder, "here"),
    logger: pino({ level: "silent" }),
    dataFolder: folder,
    webFolder: folder,
    hosts: new Set(["127.0.0.1"]),
  });
  server = createServer(app);
  await new Promise<void>((listening) => server.listen(0, "127.0.0.1", listening));
  const address = server.address();
  if (typeof address !== "object" || address === null) throw new Error("it listens nowhere");
  own = callsTo({ address: `http://127.0.0.1:${address.port}` });
  ended = async () => {
    await Promise.all([pools.close(), jobs.close()]);
    server.closeAllConnections();
    server.close();
    opened.close();
  };
}, 30_000);
afterAll(() => ended());

async function pages(most: number | null): Promise<void> {
  const [row] = await db.all<{ page_count: number }>("PRAGMA page_count");
  await db.all(`PRAGMA max_page_count = ${most ?? row?.page_count ?? 1}`);
}
/** Lets the database grow no more. */
const fill = async () => {
  // What is free within it is used up too.
  await db.run("VACUUM");
  await pages(null);
};
const makeRoom = () => pages(1_000_000);

const plate = { ...DESIGN, parts: [{ id: "a", motif: { kind: "disc", radius: 20 }, solid: { depth: 4 } }] };

test("a disk without room is told as such; what is there is read, devices end, and it goes on by itself", async () => {
  const { id } = await answer(own.send("POST", "/api/designs", DESIGN));
  const mesh = await (await own.send("POST", "/api/make?as=stl", plate)).arrayBuffer();
  const post = () => own.call("/api/jobs?device=solid&pace=1", { method: "POST", body: mesh });
  const job = await answer(post());
  await fill();

  // Text enough for a page of its own.
  const large = {
    ...DESIGN,
    name: "Large",
    parts: Array.from({ length: 40 }, (_, k) => ({ ...DESIGN.parts[0], id: `p${k}` })),
  };
  const refused = [
    await own.send("POST", "/api/designs", large),
    await own.send("PUT", `/api/designs/${id}`, large, { "If-Match": "*" }),
    await own.send("POST", "/api/shelf?kind=motif", { ...large, parts: [large.parts[0]] }),
    await post(),
  ];
  const statuses = refused.map(({ status }) => status);
  expect(statuses.filter((status) => status === 507).length).toBeGreaterThanOrEqual(3);
  expect(statuses.every((status) => status < 500 || status === 507)).toBe(true);
  expect((await answer(refused[0] ?? new Response("{}"))).detail).toContain("no room left");

  expect(await answer(own.call(`/api/designs/${id}`))).toEqual(DESIGN);
  expect((await own.call("/api/designs")).status).toBe(200);
  expect((await own.call("/api/health")).status).toBe(200);
  expect((await own.call(`/api/designs/${id}/picture.png`)).status).toBe(200);

  const stopped = await own.call(`/api/jobs/${job.id}/stop`, { method: "POST" });
  expect([stopped.status, (await answer(stopped)).state]).toEqual([200, "stopped"]);
  expect((await answer(own.call(`/api/jobs/${job.id}`))).state).toBe("stopped");

  await makeRoom();
  expect((await own.send("PUT", `/api/designs/${id}`, large, { "If-Match": "*" })).status).toBe(200);
  const kept = async () => (await db.all<{ state: string }>(`select state from jobs where id = '${job.id}'`))[0]?.state;
  while ((await kept()) !== "stopped") await new Promise((rest) => setTimeout(rest, 100));
}, 60_000);
