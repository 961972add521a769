import { spawn, type ChildProcess } from "node:child_process";
import { mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";

/** The built server as a process of its own, over a real database file. */
export interface Running {
  readonly address: string;
  readonly process: ChildProcess;
  /** Ends it at once, as a crash would. */
  kill: () => Promise<void>;
}

export function newDataFolder(): string {
  return mkdtempSync(join(tmpdir(), "twin-petal-"));
}

/** Starts the server on a free port and waits until it says where it is. */
export function startServer(dataFolder: string, environment: Record<string, string> = {}): Promise<Running> {
  const child = spawn(process.execPath, ["server/dist/main.js"], {
    env: { ...process.env, PORT: "0", TWIN_PETAL_DATA: dataFolder, ...environment },
    stdio: ["ignore", "pipe", "pipe"],
  });
  return new Promise((resolve, reject) => {
    let said = "";
    const hear = (piece: Buffer) => {
      said += piece.toString();
      const [address] = /http:\/\/[\d.:]+/.exec(said) ?? [];
      if (address) resolve({ address, process: child, kill: () => end(child) });
    };
    child.stdout.on("data", hear);
    child.stderr.on("data", hear);
    child.on("exit", (code) => reject(new Error(`exit ${code}: ${said}`)));
  });
}

function end(child: ChildProcess): Promise<void> {
  if (child.exitCode !== null || child.signalCode !== null) return Promise.resolve();
  return new Promise((resolve) => {
    child.once("exit", () => resolve());
    child.kill("SIGKILL");
  });
}
