import type { RequestHandler } from "express";
import { HttpProblem } from "./problem";

const READING = new Set(["GET", "HEAD", "OPTIONS"]);

/** Refuses changes asked for by pages of other sites. Browsers say where a request comes from in one way or the other. */
export const sameOrigin: RequestHandler = (request, _response, next) => {
  if (READING.has(request.method)) return next();
  const origin = request.get("Origin");
  const isForeign =
    origin === undefined ? request.get("Sec-Fetch-Site") === "cross-site" : hostOf(origin) !== request.get("Host");
  if (isForeign) throw new HttpProblem(403, "Changes are taken only from this application's own pages.");
  next();
};

function hostOf(origin: string): string | null {
  return URL.canParse(origin) ? new URL(origin).host : null;
}
