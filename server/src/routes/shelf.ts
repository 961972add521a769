import { Router, type Request } from "express";
import { isShelfKind, MOST_PIECES, SHELF_KINDS, type ShelfKind } from "@twin-petal/core";
import type { ShelfStore } from "../db/shelfStore";
import type { Pools } from "../pools";
import { HttpProblem } from "../problem";
import { DESIGN_TYPE, designIn, takeBody } from "./designBody";
import { isExpected } from "../db/expected";
import { etagOf, expectedRevision } from "./etag";
import { newId } from "./newId";

/** `/api/shelf`: motifs with their rules and finish, stacks of rules and palettes, each held by a design of its own. */
export function shelfRoutes(shelf: ShelfStore, pools: Pools): Router {
  const router = Router();

  router.get("/", async (_request, response) => {
    response.json({ pieces: await shelf.list() });
  });

  router.post("/", takeBody, async (request, response) => {
    const kind = kindIn(request);
    const { content, summary } = await designIn(request, pools, kind);
    const id = newId();
    if (!(await shelf.add(id, kind, { name: summary.name, content }))) throw full();
    response.status(201).location(`/api/shelf/${id}`).set("ETag", etagOf(1)).json({ id, revision: 1 });
  });

  router.get("/:id", async (request, response) => {
    const { revision, content } = await onShelf(shelf, request.params.id);
    response
      .set({ ETag: etagOf(revision), "Cache-Control": "no-cache" })
      .type(DESIGN_TYPE)
      .send(content);
  });

  router.put("/:id", takeBody, async (request, response) => {
    const { id } = request.params;
    const expected = expectedRevision(request);
    const { kind, revision: before } = await onShelf(shelf, id);
    if (!isExpected(expected, before)) throw stalePiece(before);
    const { content, summary } = await designIn(request, pools, kind);
    const outcome = await shelf.save(id, { name: summary.name, content }, expected);
    if (outcome.kind === "missing") throw nowhere(id);
    if (outcome.kind === "stale") throw stalePiece(outcome.revision);
    response.set("ETag", etagOf(outcome.revision)).json({ id, revision: outcome.revision });
  });

  router.delete("/:id", async (request, response) => {
    if (!(await shelf.remove(request.params.id))) throw nowhere(request.params.id);
    response.status(204).end();
  });

  router.post("/:id/restore", async (request, response) => {
    const { id } = request.params;
    if (!(await shelf.restore(id))) {
      throw new HttpProblem(404, `No piece “${id}” was taken off the shelf, or the shelf is full (${MOST_PIECES}).`);
    }
    response.status(204).end();
  });

  return router;
}

function kindIn(request: Request): ShelfKind {
  const { kind } = request.query;
  if (isShelfKind(kind)) return kind;
  throw new HttpProblem(400, `Say what is put on the shelf: ?kind= must be one of ${SHELF_KINDS.join(", ")}.`);
}

async function onShelf(shelf: ShelfStore, id: string) {
  const row = await shelf.find(id);
  if (!row) throw nowhere(id);
  return row;
}

const nowhere = (id: string) => new HttpProblem(404, `There is nothing called “${id}” on the shelf.`);
const full = () => new HttpProblem(409, `The shelf holds at most ${MOST_PIECES} pieces: take one off first.`);

/** 412: what a change builds on is no longer so. */
function stalePiece(revision: number): HttpProblem {
  return new HttpProblem(412, `The piece has changed since; it is at revision ${revision}.`, { revision });
}
