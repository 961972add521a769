import type { RequestHandler } from "express";
import type { DesignStore } from "./db/designStore";
import type { Pools } from "./pools";
import { freeBytes, LEAST_ROOM } from "./room";

/** `GET /api/health`: whether designs can be read and kept, what is being computed, and how much room there is. 503 where not. */
export function healthOf(store: DesignStore, pools: Pools, dataFolder: string | null): RequestHandler {
  return async (_request, response) => {
    const [database, free] = await Promise.all([
      store.count().then(
        (designs) => ({ ok: true, designs }),
        () => ({ ok: false }),
      ),
      dataFolder === null ? null : freeBytes(dataFolder),
    ]);
    const ok = database.ok && (free === null || free > LEAST_ROOM);
    response
      .status(ok ? 200 : 503)
      .set("Cache-Control", "no-store")
      .json({ ok, uptime: Math.round(process.uptime()), database, pool: pools.load(), disk: { free } });
  };
}
