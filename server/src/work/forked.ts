import { fork, type ChildProcess } from "node:child_process";
import { readFile } from "node:fs/promises";
import { inRepository } from "../settings";

/** How often the size of a process at work is looked at, milliseconds. */
const LOOK_EVERY = 250;

/**
 * Starts a bundle of the server as a process of its own, whose heap may grow to so many megabytes. Bytes are sent as bytes; what it
 * writes is heard where it is piped.
 */
export function forked(
  bundle: string,
  given: readonly string[],
  megabytes: number,
  output: "ignore" | "pipe" = "ignore",
): ChildProcess {
  return fork(inRepository(`server/dist/work/${bundle}.js`), given, {
    serialization: "advanced",
    execArgv: [`--max-old-space-size=${megabytes}`],
    stdio: ["ignore", output, "ignore", "ipc"],
  });
}

/** Calls back once a process takes more memory than it may, its engines' included. Gives what ends the watching. */
export function watchSize(child: ChildProcess, megabytes: number, onTooLarge: () => void): () => void {
  const look = setInterval(() => {
    isLarger(child, megabytes).then((larger) => larger && onTooLarge(), onTooLarge);
  }, LOOK_EVERY);
  return () => clearInterval(look);
}

/** Ends a process, whatever it does; resolves when it has gone. */
export function killed(child: ChildProcess): Promise<void> {
  if (child.exitCode !== null || child.signalCode !== null) return Promise.resolve();
  return new Promise((gone) => {
    child.once("exit", () => gone());
    child.kill("SIGKILL");
  });
}

/** Where the system does not tell, the limit of the heap has to do. */
async function isLarger({ pid }: ChildProcess, megabytes: number): Promise<boolean> {
  const told = await readFile(`/proc/${pid}/statm`, "utf8").catch(() => "");
  const pages = Number(told.split(" ")[1] ?? 0);
  return (pages * PAGE) / 2 ** 20 > megabytes;
}

/** Bytes of a page of memory. */
const PAGE = 4_096;
