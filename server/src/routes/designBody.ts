import express, { type Request } from "express";
import type { ShelfKind } from "@twin-petal/core";
import type { Pools, ReadDesign } from "../pools";
import { HttpProblem } from "../problem";

/** The design file's own media type. */
export const DESIGN_TYPE = "application/vnd.twin-petal+json";

const BODY_LIMIT = 8 * 2 ** 20;

/** Takes JSON bodies as text, the design file's own media type among them; they are read elsewhere. */
export const takeBody = express.text({
  limit: BODY_LIMIT,
  type: ["application/json", DESIGN_TYPE],
});

/** The design in a request's body; every fault in it is answered at once. */
export function designIn(request: Request, pools: Pools, piece: ShelfKind | null = null): Promise<ReadDesign> {
  const body: unknown = request.body;
  if (typeof body !== "string") {
    throw new HttpProblem(415, "Send a design as application/json or application/vnd.twin-petal+json.");
  }
  return pools.read(body, piece);
}
