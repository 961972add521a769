import express, { Router } from "express";
import type { DesignStore } from "../db/designStore";
import { keepAll } from "../keep/keepAll";
import { takeBack } from "../keep/takeBack";
import type { Pools } from "../pools";
import { HttpProblem } from "../problem";

const MOST_BYTES = 256 * 2 ** 20;

/** `/api/keep`: everything out as one zip, and back in. */
export function keepRoutes(store: DesignStore, pools: Pools): Router {
  const router = Router();

  router.get("/", async (_request, response) => {
    const day = new Date().toISOString().slice(0, 10);
    response.attachment(`Twin Petal ${day}.zip`).type("application/zip");
    for await (const piece of keepAll(store)) {
      if (response.destroyed) return;
      if (!response.write(piece))
        await new Promise((drained) => response.once("drain", drained).once("close", drained));
    }
    response.end();
  });

  router.post("/", express.raw({ limit: MOST_BYTES, type: "application/zip" }), async (request, response) => {
    const body: unknown = request.body;
    if (!(body instanceof Uint8Array)) throw new HttpProblem(415, "Send a zip as application/zip.");
    response.json(await takeBack(store, pools, body));
  });

  return router;
}
