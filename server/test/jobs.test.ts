import { readFileSync } from "node:fs";
import { describe, expect, test } from "@jest/globals";
import { callsTo } from "./calls";
import { insertDesign, olderDatabase } from "./olderDatabase";
import { emptyDataFolder, newDataFolder, startServer } from "./running";
import { served } from "./served";

const { call, send } = served();

const PLATE = {
  format: "twin-petal/1",
  name: "Vent",
  parts: [{ id: "a", motif: { kind: "disc", radius: 20 }, solid: { depth: 4 } }],
};

interface Job {
  readonly id: string;
  readonly state: string;
  readonly steps: number;
  readonly done: number;
  readonly report: Readonly<Record<string, number>> | null;
  readonly trouble: string | null;
  readonly detail: string;
}

const jobIn = async (response: Response): Promise<Job> => {
  const job: Job = JSON.parse(await response.text());
  return job;
};

/** A design as a file, made by the server itself. */
async function solidFile(extension: string, design: object = PLATE, caller = { send }): Promise<ArrayBuffer> {
  const made = await caller.send("POST", `/api/make?as=${extension}`, design);
  expect(made.status).toBe(200);
  return made.arrayBuffer();
}

const post = (query: string, body: ArrayBuffer | string, caller = { call }) =>
  caller.call(`/api/jobs?device=solid&${query}`, {
    method: "POST",
    body,
    headers: { "Content-Type": "application/octet-stream" },
  });

const settings = (values: object) => `settings=${encodeURIComponent(JSON.stringify(values))}`;

/** Everything a job's stream tells until it ends. */
async function eventsOf(id: string): Promise<{ event: string; data: Job & { index: number } }[]> {
  const text = await (await call(`/api/jobs/${id}/events`)).text();
  return text
    .split("\n\n")
    .filter(Boolean)
    .map((piece) => {
      const [event = "", data = ""] = piece.split("\n");
      const read: Job & { index: number } = JSON.parse(data.replace("data: ", ""));
      return { event: event.replace("event: ", ""), data: read };
    });
}

async function until(id: string, isSo: (job: Job) => boolean, caller = { call }): Promise<Job> {
  for (let tries = 0; tries < 200; tries++) {
    const job = await jobIn(await caller.call(`/api/jobs/${id}`));
    if (isSo(job)) return job;
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
  throw new Error("it never came to that");
}

/** The processes of devices that a server has started. */
function devicesOf(server: number | undefined): number[] {
  const children = readFileSync(`/proc/${server}/task/${server}/children`, "utf8").split(" ").filter(Boolean);
  const devices = children.filter((pid) => readFileSync(`/proc/${pid}/cmdline`, "utf8").includes("deviceProcess"));
  expect(devices).toHaveLength(1);
  return devices.map(Number);
}

describe("a simulated printer of solids", () => {
  test.each(["3mf", "stl"])(
    "lays a %s layer by layer at once, streams every one, and reports what it did",
    async (extension) => {
      const response = await post(`pace=2000&${settings({ layer: 0.25 })}`, await solidFile(extension));
      expect(response.status).toBe(201);
      const job = await jobIn(response);
      expect(response.headers.get("Location")).toBe(`/api/jobs/${job.id}`);
      expect(job).toMatchObject({ state: "running", steps: 16 });
      const events = await eventsOf(job.id);
      const steps = events.filter(({ event }) => event === "step").map(({ data }) => data.index);
      // Whoever listens later is told how far it is first.
      expect(steps).toEqual(Array.from({ length: steps.length }, (_, k) => 16 - steps.length + k));
      expect(steps.length).toBeGreaterThan(3);
      expect(events.at(-1)).toMatchObject({ event: "end", data: { state: "done", done: 16 } });
      const { report } = await jobIn(await call(`/api/jobs/${job.id}`));
      expect((report?.volume ?? 0) / (Math.PI * 400 * 4)).toBeCloseTo(1, 3);
      const trace: { steps: { z: number }[] } = JSON.parse(await (await call(`/api/jobs/${job.id}/trace`)).text());
      expect(trace.steps.map(({ z }) => z)).toEqual(Array.from({ length: 16 }, (_, k) => (k + 0.5) * 0.25));
    },
  );

  test("stopped while many listen, its end is told to each once, it stays stopped, and the server goes on", async () => {
    for (let round = 0; round < 4; round++) {
      const { id } = await jobIn(await post("pace=20", await solidFile("3mf")));
      const streams = Array.from({ length: 5 }, () => eventsOf(id));
      expect(await jobIn(await call(`/api/jobs/${id}/stop`, { method: "POST" }))).toMatchObject({ state: "stopped" });
      for (const events of await Promise.all(streams)) {
        const ends = events.filter(({ event }) => event === "end").map(({ data }) => data.state);
        expect(ends).toEqual(["stopped"]);
      }
      // The thread has ended itself by then.
      await new Promise((resolve) => setTimeout(resolve, 150));
      expect(await jobIn(await call(`/api/jobs/${id}`))).toMatchObject({ state: "stopped", trouble: null });
    }
  });

  test("is paused, goes on, is stopped, and runs again", async () => {
    const { id } = await jobIn(await post("pace=20", await solidFile("3mf")));
    const order = (word: string) => call(`/api/jobs/${id}/${word}`, { method: "POST" });
    expect(await jobIn(await order("pause"))).toMatchObject({ state: "paused" });
    const paused = await jobIn(await call(`/api/jobs/${id}`));
    await new Promise((resolve) => setTimeout(resolve, 400));
    expect((await jobIn(await call(`/api/jobs/${id}`))).done).toBeLessThanOrEqual(paused.done + 1);
    expect(await jobIn(await order("resume"))).toMatchObject({ state: "running" });
    const stopped = await jobIn(await order("stop"));
    expect(stopped).toMatchObject({ state: "stopped", report: expect.objectContaining({ layers: stopped.done }) });
    const refused = await order("pause");
    expect(refused.status).toBe(409);
    expect((await jobIn(refused)).detail).toContain("is stopped");
    const again = await order("again");
    expect(again.status).toBe(201);
    const { id: next } = await jobIn(again);
    expect(next).not.toBe(id);
    await call(`/api/jobs/${next}/stop`, { method: "POST" });
  });

  test.each<[string, string, () => Promise<ArrayBuffer | string>, number, string]>([
    [
      "what leaves its frame",
      settings({ frame: { width: 30 } }),
      () => solidFile("3mf"),
      422,
      "leaves the bed’s width of 30 mm by 5 mm",
    ],
    ["what it cannot read", "", () => Promise.resolve("solid nothing"), 422, "no triangles"],
    ["settings that make no sense", settings({ layer: 0 }), () => solidFile("3mf"), 422, "settings.layer"],
    ["settings that are no JSON", "settings={", () => solidFile("3mf"), 400, "must be JSON"],
    ["a pace that is none", "pace=-1", () => solidFile("3mf"), 400, "pace"],
    ["an empty body", "", () => Promise.resolve(""), 400, "Send the file"],
  ])("refuses %s in words", async (_, query, body, status, words) => {
    const response = await post(query, await body());
    expect(response.status).toBe(status);
    expect((await jobIn(response)).detail).toContain(words);
  });

  test("an unknown device and an unknown job are told", async () => {
    const unknown = await call("/api/jobs?device=loom", { method: "POST", body: "a" });
    expect(unknown.status).toBe(400);
    expect((await jobIn(unknown)).detail).toContain("solid");
    expect((await call("/api/jobs/none")).status).toBe(404);
  });
});

describe("jobs and the server's own end", () => {
  test("what ran when the server was killed is interrupted, and can be run again", async () => {
    const folder = newDataFolder();
    const first = await startServer(folder);
    const calls = callsTo(first);
    const { id } = await jobIn(await post("pace=1", await solidFile("3mf", PLATE, calls), calls));
    await first.kill();
    const second = await startServer(folder);
    try {
      const next = callsTo(second);
      const job = await jobIn(await next.call(`/api/jobs/${id}`));
      expect(job).toMatchObject({ state: "interrupted", trouble: expect.stringContaining("run it again") });
      const again = await jobIn(await next.call(`/api/jobs/${id}/again`, { method: "POST" }));
      expect(again.steps).toBe(20);
      await next.call(`/api/jobs/${again.id}/stop`, { method: "POST" });
      await until(again.id, ({ state }) => state === "stopped", next);
    } finally {
      await second.kill();
    }
  });

  test("a device whose process ends takes nothing along: its job has failed, and the next one runs", async () => {
    const server = await startServer(newDataFolder());
    try {
      const calls = callsTo(server);
      const file = await solidFile("3mf", PLATE, calls);
      const { id } = await jobIn(await post("pace=1", file, calls));
      for (const pid of devicesOf(server.process.pid)) process.kill(pid, "SIGKILL");
      const job = await until(id, ({ state }) => state !== "running", calls);
      expect(job).toMatchObject({ state: "failed", trouble: "The device ended before it was done." });
      const next = await jobIn(await post("pace=2000", file, calls));
      expect((await until(next.id, ({ state }) => state !== "running", calls)).state).toBe("done");
    } finally {
      await server.kill();
    }
  });

  test("a database of before there were jobs opens, and keeps its designs", async () => {
    const folder = emptyDataFolder();
    const old = await olderDatabase(folder, 1);
    await insertDesign(old, "kept", JSON.stringify(PLATE), 3, 1);
    old.close();
    const server = await startServer(folder);
    try {
      const calls = callsTo(server);
      expect(await (await calls.call("/api/designs/kept")).json()).toMatchObject({ name: "Vent" });
      expect(await (await calls.call("/api/jobs")).json()).toEqual({ jobs: [] });
    } finally {
      await server.kill();
    }
  });
});
