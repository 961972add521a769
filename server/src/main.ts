import { createServer } from "node:http";
import type { AddressInfo } from "node:net";
import { pino } from "pino";
import { createApp } from "./app";
import { keepCopies } from "./db/copies";
import { openDatabase } from "./db/database";
import { DesignStore } from "./db/designStore";
import { beOnlyServer } from "./db/onlyServer";
import { Presence } from "./db/presence";
import { seed } from "./db/seed";
import { isFull } from "./db/trouble";
import { drainer } from "./drain";
import { Jobs } from "./jobs/jobs";
import { JobStore } from "./jobs/jobStore";
import { Pictures } from "./pictures";
import { Pools } from "./pools";
import { Keeping } from "./keep/keeping";
import { knownHosts } from "./knownHost";
import { inRepository, readSettings, SettingError, type Settings } from "./settings";

async function main(settings: Settings): Promise<void> {
  const letGo = settings.databaseUrl ? () => undefined : await beOnlyServer(settings.dataFolder);
  const { db, close } = await openDatabase(settings);
  const logger = pino({ level: settings.logLevel });
  const warn = (words: string) => (error: unknown) => logger.warn({ err: error }, words);
  const store = new DesignStore(db);
  const pools = new Pools();
  const presence = new Presence(db, !settings.databaseUrl, warn("not written down that the server is there"));
  await presence.begin();
  const jobs = new Jobs(new JobStore(db, presence.id), warn("not written down what a device does"));
  await seed(store, pools, inRepository("demo")).catch(sayIfFull);
  const pictures = new Pictures(store, pools, settings.pictureRest, warn("no picture"));
  const endCopies = settings.databaseUrl
    ? () => undefined
    : keepCopies(db, settings.dataFolder, warn("no copy of the database"));
  const keeping = new Keeping(store.arrivals, settings.dataFolder, presence.id);
  await keeping.tidy();
  const dataFolder = settings.databaseUrl ? null : settings.dataFolder;
  const webFolder = inRepository("web/dist");
  const server = createServer(
    PATIENCE,
    createApp({ store, pools, pictures, jobs, keeping, logger, dataFolder, webFolder, hosts: knownHosts(settings) }),
  );

  const drain = drainer(server);
  const stop = () => {
    drain((cutOff) => {
      for (const asked of cutOff) console.error(`Cut off while stopping: ${asked}`);
      endCopies();
      Promise.all([pools.close(), jobs.close()])
        .then(() => presence.end())
        .catch(warn("not left in order"))
        .finally(() => {
          close();
          letGo();
        })
        .catch(warn("not closed"));
    });
  };
  process.once("SIGINT", stop);
  process.once("SIGTERM", stop);

  server.on("error", (error: NodeJS.ErrnoException) => {
    fail(listenTrouble(error, settings));
  });
  server.listen(settings.port, settings.host, () => {
    const address = server.address();
    console.log(`Twin Petal is at http://${settings.host}:${isAddress(address) ? address.port : settings.port}`);
  });
}

/** A disk without room holds up nothing that is only read. */
function sayIfFull(error: unknown): void {
  if (!isFull(error)) throw error;
  console.error("There is no room left on the disk: designs can be opened, and nothing can be kept until there is.");
}

/** Connections that send nothing, or very slowly, are closed after so long, milliseconds. */
const PATIENCE = {
  headersTimeout: 15_000,
  requestTimeout: 60_000,
  keepAliveTimeout: 10_000,
  connectionsCheckingInterval: 5_000,
};

function isAddress(address: string | AddressInfo | null): address is AddressInfo {
  return typeof address === "object" && address !== null;
}

function listenTrouble({ code, message }: NodeJS.ErrnoException, { port, host }: Settings): string {
  if (code === "EADDRINUSE") return `Port ${port} is in use. Stop what uses it, or choose another: PORT=4311 npm start`;
  if (code === "EACCES") return `Port ${port} may not be used by this account. Choose another: PORT=4310 npm start`;
  if (code === "EADDRNOTAVAIL") return `This machine has no address ${host}. Set HOST to one it has.`;
  return `The server cannot listen: ${message}`;
}

function fail(message: string): never {
  console.error(message);
  process.exit(1);
}

try {
  await main(readSettings(process.env));
} catch (error) {
  if (error instanceof SettingError) fail(error.message);
  throw error;
}
