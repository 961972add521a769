/** What the yardstick's worker draws. */
interface Job {
  readonly width: number;
  readonly height: number;
  readonly scale: number;
  readonly outline: string;
  readonly matrices: readonly number[];
  readonly color: string;
}

declare global {
  interface Window {
    prepare: (job: Job) => void;
    /** Draws so often, one after another; answers how long each took, milliseconds. */
    draw: (times: number) => Promise<number[]>;
  }
}

/** A worker that draws the same outlines on a canvas of the same size, and nothing else. */
export const YARDSTICK_WORKER = `
let context, job, path;
onmessage = ({ data }) => {
  if (data.job) {
    job = data.job;
    context = data.canvas.getContext("2d", { alpha: false });
    path = new Path2D(job.outline);
    return;
  }
  const { width, height, scale, matrices } = job;
  context.resetTransform();
  context.fillStyle = "#FFFFFF";
  context.fillRect(0, 0, width, height);
  context.fillStyle = job.color;
  for (let at = 0; at < matrices.length; at += 6) {
    context.setTransform(
      matrices[at] * scale, matrices[at + 1] * scale, matrices[at + 2] * scale, matrices[at + 3] * scale,
      matrices[at + 4] * scale + width / 2, matrices[at + 5] * scale + height / 2,
    );
    context.fill(path);
  }
  requestAnimationFrame(() => postMessage(null));
};
`;

/** The page that shows the worker's canvas and asks for one picture after another. */
export const YARDSTICK_PAGE = `<!doctype html><body><script>
const worker = new Worker("/worker.js");
window.prepare = (job) => {
  const canvas = document.createElement("canvas");
  canvas.width = job.width;
  canvas.height = job.height;
  document.body.append(canvas);
  const offscreen = canvas.transferControlToOffscreen();
  worker.postMessage({ job, canvas: offscreen }, [offscreen]);
};
window.draw = async (times) => {
  const taken = [];
  for (let time = 0; time < times; time++) {
    const began = performance.now();
    await new Promise((resolve) => {
      worker.onmessage = resolve;
      worker.postMessage("draw");
    });
    taken.push(performance.now() - began);
  }
  return taken;
};
</script>`;
