import { join } from "node:path";
import compression from "compression";
import express, { type Express } from "express";
import helmet from "helmet";
import type { Logger } from "pino";
import { pinoHttp } from "pino-http";
import type { DesignStore } from "./db/designStore";
import type { Maker } from "./maker";
import { notFound, problemHandler } from "./problem";
import { designRoutes } from "./routes/designs";
import { makeRoutes } from "./routes/make";
import { sameOrigin } from "./sameOrigin";

interface Parts {
  readonly store: DesignStore;
  readonly maker: Maker;
  readonly logger: Logger;
  /** Folder of the built interface. */
  readonly webFolder: string;
}

/** The application over HTTP: the calls under /api, and the interface for every other path. */
export function createApp({ store, maker, logger, webFolder }: Parts): Express {
  const app = express();
  app.use(pinoHttp({ logger }));
  app.use(safeHeaders());
  app.use(compression());
  app.use("/api", sameOrigin);
  app.get("/api/health", (_request, response) => {
    response.json({ ok: true, uptime: Math.round(process.uptime()) });
  });
  app.use("/api/designs", designRoutes(store, maker));
  app.use("/api/make", makeRoutes(maker));
  app.use("/api", notFound);
  // Names in assets/ carry their content's hash, so they can be kept for good.
  app.use("/assets", express.static(join(webFolder, "assets"), ASSET_OPTIONS));
  app.use(express.static(webFolder, { index: false }));
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
