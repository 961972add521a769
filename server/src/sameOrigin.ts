import type { RequestHandler } from "express";
import { HttpProblem } from "./problem";

const READING = new Set(["GET", "HEAD", "OPTIONS"]);

/** Refuses changes asked for by pages of other sites. */
export const sameOrigin: RequestHandler = (request, _response, next) => {
  const origin = request.get("Origin");
  if (READING.has(request.method) || origin === undefined) return next();
  const host = URL.canParse(origin) ? new URL(origin).host : null;
  if (host !== request.get("Host"))
    throw new HttpProblem(403, "Changes are taken only from this application's own pages.");
  next();
};
