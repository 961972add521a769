import { spawn, type ChildProcess } from "node:child_process";
import { cpSync, mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";

/** The built server as a process of its own, over a real database file. */
export interface Running {
  readonly address: string;
  readonly process: ChildProcess;
  /** Ends it at once, as a crash would. */
  kill: () => Promise<void>;
}

/** A folder in which no server has been started. */
export function emptyDataFolder(): string {
  return mkdtempSync(join(tmpdir(), "twin-petal-"));
}

/** A folder as the server leaves it after its first start, with the demo designs. */
export function newDataFolder(): string {
  const folder = emptyDataFolder();
  cpSync("server/dist/seeded", folder, { recursive: true });
  return folder;
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
