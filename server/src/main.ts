import { createServer } from "node:http";
import type { AddressInfo } from "node:net";
import { pino } from "pino";
import { createApp } from "./app";
import { keepCopies } from "./db/copies";
import { openDatabase } from "./db/database";
import { DesignStore } from "./db/designStore";
import { beOnlyServer } from "./db/onlyServer";
import { seed } from "./db/seed";
import { drainer } from "./drain";
import { Jobs } from "./jobs/jobs";
import { JobStore } from "./jobs/jobStore";
import { Pictures } from "./pictures";
import { Pools } from "./pools";
import { knownHosts } from "./knownHost";
import { inRepository, readSettings, SettingError, type Settings } from "./settings";

async function main(settings: Settings): Promise<void> {
  const letGo = settings.databaseUrl ? () => undefined : await beOnlyServer(settings.dataFolder);
  const { db, close } = await openDatabase(settings);
  const store = new DesignStore(db);
  const pools = new Pools();
  const jobStore = new JobStore(db);
  await jobStore.interruptAll();
  const jobs = new Jobs(jobStore);
  await seed(store, pools, inRepository("demo"));
  const logger = pino({ level: settings.logLevel });
  const pictures = new Pictures(store, pools, settings.pictureRest, (error) =>
    logger.warn({ err: error }, "no picture"),
  );
  const endCopies = settings.databaseUrl
    ? () => undefined
    : keepCopies(db, settings.dataFolder, (error) => logger.warn({ err: error }, "no copy of the database"));
  const dataFolder = settings.databaseUrl ? null : settings.dataFolder;
  const webFolder = inRepository("web/dist");
  const server = createServer(
    PATIENCE,
    createApp({ store, pools, pictures, jobs, logger, dataFolder, webFolder, hosts: knownHosts(settings) }),
  );

  const drain = drainer(server);
  const stop = () => {
    drain((cutOff) => {
      for (const asked of cutOff) console.error(`Cut off while stopping: ${asked}`);
      endCopies();
      void Promise.all([pools.close(), jobs.close()]).then(() => {
        close();
        letGo();
      });
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
