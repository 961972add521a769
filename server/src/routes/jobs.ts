import express, { Router, type Request, type Response } from "express";
import { DEVICES, type Device } from "@twin-petal/core";
import type { JobRow } from "../jobs/jobStore";
import type { JobNews, Jobs } from "../jobs/jobs";
import { HttpProblem } from "../problem";

const FILE_LIMIT = 128 * 2 ** 20;
const LONGEST_NAME = 120;
const FASTEST = 1_000_000;

/** A file of whatever kind: devices read it themselves. */
const takeFile = express.raw({ limit: FILE_LIMIT, type: () => true });

/** `POST /api/jobs?device=solid`: a file for a simulated device; what devices did and are doing. */
export function jobRoutes(jobs: Jobs): Router {
  const router = Router();

  router.post("/", takeFile, async (request, response) => {
    const device = deviceOf(request.query.device);
    const body: unknown = request.body;
    if (!Buffer.isBuffer(body) || body.length === 0) throw new HttpProblem(400, "Send the file itself as the body.");
    const read = device.readSettings(settingsIn(request));
    if ("refusal" in read) throw new HttpProblem(422, read.refusal);
    const asked = { device, name: nameIn(request), file: body, settings: read.settings, pace: paceIn(request) };
    const job = await jobs.start(asked);
    response.status(201).location(`/api/jobs/${job.id}`).json(told(job));
  });

  router.get("/", async (_request, response) => {
    response.json({ jobs: (await jobs.list()).map(told) });
  });
  router.get("/:id", async ({ params }, response) => {
    response.json(told(await jobs.find(params.id)));
  });
  router.get("/:id/trace", async ({ params }, response) => {
    response.json({ steps: await jobs.trace(params.id) });
  });
  router.get("/:id/events", async ({ params }, response) => {
    stream(jobs, await jobs.find(params.id), response);
  });
  for (const order of ["pause", "resume", "stop"] as const) {
    router.post(`/:id/${order}`, async ({ params }, response) => {
      response.json(told(await jobs.order(params.id, order)));
    });
  }
  router.post("/:id/again", async ({ params }, response) => {
    const { device } = await jobs.find(params.id);
    const job = await jobs.again(params.id, deviceOf(device));
    response.status(201).location(`/api/jobs/${job.id}`).json(told(job));
  });

  return router;
}

function deviceOf(kind: unknown): Device {
  const device = DEVICES.find((known) => known.kind === kind);
  if (device) return device;
  throw new HttpProblem(400, `“device” must be one of ${DEVICES.map((known) => known.kind).join(", ")}.`);
}

/** The device's settings as JSON in the query; its own where nothing is said. */
function settingsIn({ query: { settings } }: Request): unknown {
  if (settings === undefined) return {};
  try {
    const read: unknown = JSON.parse(typeof settings === "string" ? settings : "");
    return read;
  } catch {
    throw new HttpProblem(400, "“settings” must be JSON.");
  }
}

function nameIn({ query: { name } }: Request): string {
  return typeof name === "string" && name !== "" ? name.slice(0, LONGEST_NAME) : "file";
}

/** How many times faster than the device would be; “once” is at once, which is also where nothing is said. */
function paceIn({ query: { pace } }: Request): number | null {
  if (pace === undefined || pace === "once") return null;
  const value = Number(pace);
  if (Number.isFinite(value) && value > 0 && value <= FASTEST) return value;
  throw new HttpProblem(400, "“pace” must be “once” or a number greater than 0: how many times faster it runs.");
}

function told({ settings, report, ...row }: JobRow) {
  const read: unknown = JSON.parse(settings);
  const done: unknown = report === null ? null : JSON.parse(report);
  return { ...row, settings: read, report: done };
}

/** Everything a job does, as server-sent events: first how it stands, then every step, at last how it ended. */
function stream(jobs: Jobs, row: JobRow, response: Response): void {
  // What may be transformed would be gathered and packed before it is sent.
  response.set({ "Content-Type": "text/event-stream", "Cache-Control": "no-cache, no-transform" });
  const send = (news: JobNews) => {
    if (response.writableEnded) return;
    response.write(
      news.event === "steps"
        ? news.data.map((step) => eventText("step", step)).join("")
        : eventText(news.event, told(news.data)),
    );
    if (news.event === "end") response.end();
  };
  const stop = jobs.listen(row.id, send);
  send({ event: stop ? "state" : "end", data: row });
  if (stop) response.on("close", stop);
}

const eventText = (event: string, data: object) => `event: ${event}\ndata: ${JSON.stringify(data)}\n\n`;
