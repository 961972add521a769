import express, { type Request } from "express";
import { readDesign, type Design } from "@twin-petal/core";
import { badDesign, HttpProblem } from "../problem";

export const BODY_LIMIT = 8 * 2 ** 20;

/** Reads JSON bodies, the design file's own media type among them. */
export const readJson = express.json({
  limit: BODY_LIMIT,
  strict: false,
  type: ["application/json", "application/vnd.twin-petal+json"],
});

/** The design in a request's body; every fault in it is answered at once. */
export function designIn(request: Request): Design {
  const body: unknown = request.body;
  if (body === undefined) {
    throw new HttpProblem(415, "Send a design as application/json or application/vnd.twin-petal+json.");
  }
  const { design, problems } = readDesign(body);
  if (!design) throw badDesign(problems);
  return design;
}
