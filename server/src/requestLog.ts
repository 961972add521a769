import { randomUUID } from "node:crypto";
import type { RequestHandler } from "express";
import type { Logger } from "pino";
import { pinoHttp } from "pino-http";

/** One line for each request: its id, what was asked, the status, the time and how much was sent; nothing of what was in it. */
export function requestLog(logger: Logger): RequestHandler {
  return pinoHttp({
    logger,
    genReqId: () => randomUUID(),
    // What is asked for may name a design; what is searched for is the designer's own.
    serializers: {
      req: ({ id, method, url }: { id: string; method: string; url: string }) => ({
        id,
        method,
        path: url.split("?")[0],
      }),
      res: ({ statusCode, headers }: { statusCode: number; headers?: Record<string, unknown> }) => ({
        status: statusCode,
        bytes: headers?.["content-length"] ?? null,
      }),
    },
  });
}
