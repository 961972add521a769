import { mixed, number, object, string, type InferType } from "yup";
import { ask } from "./http";

const STATES = ["running", "paused", "done", "stopped", "interrupted", "failed"] as const;

const told = object({
  id: string().required(),
  device: string().required(),
  name: string().required(),
  state: string().oneOf(STATES).required(),
  steps: number().required(),
  done: number().required(),
  report: mixed(isReport).nullable().defined(),
  trouble: string().nullable().defined(),
});

/** What a simulated device does or did. */
export type Job = InferType<typeof told>;

/** What it did in all: figures by name. */
export type JobReport = Readonly<Record<string, number>>;

function isReport(value: unknown): value is JobReport {
  return typeof value === "object" && value !== null && Object.values(value).every((one) => typeof one === "number");
}

/** How fast a device runs: so many times faster than it would be, or at once. */
export type Pace = number | "once";

/** Gives a file to a simulated device. Rejects with its refusal. */
export async function sendJob(device: string, name: string, file: Blob, settings: object, pace: Pace): Promise<Job> {
  const query = new URLSearchParams({ device, name, settings: JSON.stringify(settings), pace: String(pace) });
  const response = await ask(`/api/jobs?${query}`, {
    method: "POST",
    body: file,
    headers: { "Content-Type": "application/octet-stream" },
  });
  return told.validate(await response.json());
}

/** Pauses, resumes, stops a job, or runs it again. */
export async function orderJob(id: string, order: "pause" | "resume" | "stop" | "again"): Promise<Job> {
  const response = await ask(`/api/jobs/${id}/${order}`, { method: "POST" });
  return told.validate(await response.json());
}

/** Hears a job's news until it ends; answers how to stop hearing. `onStep` is told how many steps are done, once a frame. */
export function listenToJob(id: string, onJob: (job: Job) => void, onStep: (done: number) => void): () => void {
  const source = new EventSource(`/api/jobs/${id}/events`);
  const dataOf = (event: Event): unknown => (event instanceof MessageEvent ? JSON.parse(String(event.data)) : null);
  const hear = (event: Event) => onJob(told.validateSync(dataOf(event)));
  let done = 0;
  let frame = 0;
  const close = () => {
    cancelAnimationFrame(frame);
    source.close();
  };
  source.addEventListener("state", hear);
  source.addEventListener("step", (event) => {
    const step = dataOf(event);
    if (!isStep(step)) return;
    done = step.index + 1;
    frame ||= requestAnimationFrame(() => {
      frame = 0;
      onStep(done);
    });
  });
  source.addEventListener("end", (event) => {
    close();
    if (done > 0) onStep(done);
    hear(event);
  });
  return close;
}

function isStep(data: unknown): data is { readonly index: number } {
  return typeof data === "object" && data !== null && "index" in data && typeof data.index === "number";
}
