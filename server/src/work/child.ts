import { pathToFileURL } from "node:url";
import type { Answered } from "./processPool";

/** A process that does one task after the other, each by the default export of the bundle it was given. */
interface Work {
  readonly default: (task: unknown) => unknown;
}

const [, , bundle = ""] = process.argv;
const loaded: unknown = await import(pathToFileURL(bundle).href);
if (!isWork(loaded)) throw new Error(`${bundle} does no work`);
const work: Work = loaded;

function isWork(given: unknown): given is Work {
  return typeof given === "object" && given !== null && "default" in given && typeof given.default === "function";
}

process.on("message", ({ task }: { task: unknown }) => {
  answer(task)
    .then((answered) => process.send?.(answered))
    .catch(() => process.exit(1));
});
// Whoever had it started has gone.
process.on("disconnect", () => process.exit());

async function answer(task: unknown): Promise<Answered<unknown>> {
  try {
    return { result: await work.default(task) };
  } catch (error) {
    return { thrown: error instanceof Error ? (error.stack ?? error.message) : String(error) };
  }
}
