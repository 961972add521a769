import { join } from "node:path";
import compression from "compression";
import express, { type Express } from "express";
import helmet from "helmet";
import type { Logger } from "pino";
import type { DesignStore } from "./db/designStore";
import type { Jobs } from "./jobs/jobs";
import { healthOf } from "./health";
import type { Keeping } from "./keep/keeping";
import { knownHost } from "./knownHost";
import type { Pictures } from "./pictures";
import type { Pools } from "./pools";
import { notFound, problemHandler } from "./problem";
import { designRoutes } from "./routes/designs";
import { jobRoutes } from "./routes/jobs";
import { keepRoutes } from "./routes/keep";
import { makeRoutes } from "./routes/make";
import { shelfRoutes } from "./routes/shelf";
import { requestLog } from "./requestLog";
import { sameOrigin } from "./sameOrigin";

interface Parts {
  readonly store: DesignStore;
  readonly pools: Pools;
  readonly pictures: Pictures;
  readonly jobs: Jobs;
  readonly keeping: Keeping;
  readonly logger: Logger;
  /** Folder of the embedded database; null where there is none. */
  readonly dataFolder: string | null;
  /** Folder of the built interface. */
  readonly webFolder: string;
  /** Names this machine is called by. */
  readonly hosts: ReadonlySet<string>;
}

/** The application over HTTP: the calls under /api, and the interface for every other path. */
export function createApp({
  store,
  pools,
  pictures,
  jobs,
  keeping,
  logger,
  dataFolder,
  webFolder,
  hosts,
}: Parts): Express {
  const app = express();
  app.use(requestLog(logger));
  app.use(safeHeaders());
  app.use(knownHost(hosts));
  app.use(compression());
  app.use("/api", sameOrigin);
  app.get("/api/health", healthOf(store, pools, dataFolder));
  app.use("/api/designs", designRoutes(store, pools, pictures));
  app.use("/api/shelf", shelfRoutes(store.shelf, pools));
  app.use("/api/keep", keepRoutes(keeping));
  app.use("/api/make", makeRoutes(pools));
  app.use("/api/jobs", jobRoutes(jobs));
  app.use("/api", notFound);
  // Names in assets/ carry their content's hash, so they can be kept for good.
  app.use("/assets", express.static(join(webFolder, "assets"), ASSET_OPTIONS));
  app.use(express.static(webFolder, { index: false }));
  // A path that names a file is none of the interface's screens.
  app.get(/\.[^/]+$/, notFound);
  app.get("/{*path}", (_request, response) => {
    response.set("Cache-Control", "no-cache").sendFile("index.html", { root: webFolder });
  });
  app.use(problemHandler);
  return app;
}

/**
 * Workers have a policy of their own: the geometry package's glue binds its functions by code it generates
 * from its own type names. The page, which shows what files hold, allows no such thing.
 */
const WORKER_POLICY = "default-src 'self'; script-src 'self' 'wasm-unsafe-eval' 'unsafe-eval'; connect-src 'self'";

const ASSET_OPTIONS: NonNullable<Parameters<typeof express.static>[1]> = {
  immutable: true,
  maxAge: "1y",
  fallthrough: false,
  setHeaders(response, path) {
    if (/\.worker-[\w-]+\.js$/.test(path)) response.setHeader("Content-Security-Policy", WORKER_POLICY);
  },
};

function safeHeaders() {
  return helmet({
    strictTransportSecurity: false,
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: ["'self'"],
        scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
        workerSrc: ["'self'"],
        // Menus and sheets are placed by inline style.
        styleSrc: ["'self'", "'unsafe-inline'"],
        imgSrc: ["'self'", "data:", "blob:"],
        fontSrc: ["'self'"],
        connectSrc: ["'self'"],
        objectSrc: ["'none'"],
        baseUri: ["'none'"],
        formAction: ["'self'"],
        frameAncestors: ["'none'"],
      },
    },
  });
}
