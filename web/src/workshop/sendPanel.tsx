import { useEffect, useState } from "react";
import { messageOf } from "@/api/http";
import { listenToJob, orderJob, sendJob, type Job, type Pace } from "@/api/jobs";
import { Button } from "@/ui/button";

const PACES: readonly { readonly pace: Pace; readonly words: string }[] = [
  { pace: "once", words: "at once" },
  { pace: 1000, words: "1,000 times faster" },
  { pace: 100, words: "100 times faster" },
  { pace: 1, words: "as fast as it is" },
];

const STATE_WORDS: Readonly<Record<Job["state"], string>> = {
  running: "at work",
  paused: "paused",
  done: "done",
  stopped: "stopped",
  interrupted: "interrupted",
  failed: "failed",
};

interface SendPanelProps {
  /** Which device it goes to. */
  readonly device: string;
  /** What the device is called, and what one of its steps is. */
  readonly words: { readonly device: string; readonly step: string };
  readonly settings: object;
  /** Makes the file that is sent; rejects in words. */
  makeFile: () => Promise<{ readonly name: string; readonly file: Blob }>;
  /** Tells what the device did, in words. */
  reportWords: (report: Readonly<Record<string, number>>) => string;
  /** Told how many steps are done. */
  onStep: (done: number) => void;
}

/** Gives the file to a simulated device and shows how it gets on. */
export function SendPanel({ device, words, settings, makeFile, reportWords, onStep }: SendPanelProps) {
  const [pace, setPace] = useState<Pace>("once");
  const [job, setJob] = useState<Job | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [isSending, setSending] = useState(false);
  const id = job?.id;
  useEffect(() => {
    if (id === undefined) return;
    return listenToJob(id, setJob, (done) => {
      setJob((known) => known && { ...known, done });
      onStep(done);
    });
  }, [id, onStep]);
  const doing = (work: () => Promise<Job>) => {
    setTrouble(null);
    setSending(true);
    work()
      .then(setJob, (error: unknown) => setTrouble(messageOf(error)))
      .finally(() => setSending(false));
  };
  const send = async () => {
    const { name, file } = await makeFile();
    return sendJob(device, name, file, settings, pace);
  };
  const isAtWork = job?.state === "running" || job?.state === "paused";
  return (
    <section aria-label="Device" className="flex flex-col gap-2">
      <h2 className="text-lg font-bold first-letter:uppercase">{words.device}</h2>
      <div className="flex items-center gap-2">
        <Button onClick={() => doing(send)} disabled={isSending || isAtWork}>
          Send
        </Button>
        <select
          aria-label="How fast it runs"
          value={String(pace)}
          onChange={({ target }) => setPace(target.value === "once" ? "once" : Number(target.value))}
          className="h-8 min-w-0 flex-1 rounded-md border border-hairline bg-surface px-1"
        >
          {PACES.map((one) => (
            <option key={one.words} value={String(one.pace)}>
              {one.words}
            </option>
          ))}
        </select>
      </div>
      {isSending && <p className="text-quiet">Making the file and sending it …</p>}
      {trouble !== null && (
        <p role="alert" className="text-failed">
          ✕ Refused: {trouble}
        </p>
      )}
      {job && (
        <div role="status" data-job={job.state} className="flex flex-col gap-1 text-[15px]">
          <progress
            aria-label="Job"
            max={Math.max(1, job.steps)}
            value={job.done}
            className="w-full accent-[var(--words)]"
          />
          <span>
            {STATE_WORDS[job.state]}: {words.step} {job.done.toLocaleString("en")} of {job.steps.toLocaleString("en")}
          </span>
          {job.trouble !== null && <span className="text-failed">{job.trouble}</span>}
          {job.report && <span className="text-quiet">{reportWords(job.report)}</span>}
          <JobButtons job={job} doing={doing} />
        </div>
      )}
    </section>
  );
}

function JobButtons({ job, doing }: { job: Job; doing: (work: () => Promise<Job>) => void }) {
  const order = (what: Parameters<typeof orderJob>[1]) => () => doing(() => orderJob(job.id, what));
  if (job.state === "running" || job.state === "paused") {
    return (
      <span className="flex gap-2">
        {job.state === "running" ? (
          <Button onClick={order("pause")}>Pause</Button>
        ) : (
          <Button onClick={order("resume")}>Go on</Button>
        )}
        <Button onClick={order("stop")}>Stop</Button>
      </span>
    );
  }
  return (
    <span>
      <Button onClick={order("again")}>Run it again</Button>
    </span>
  );
}
