import express, { Router, type Request } from "express";
import { object, string, ValidationError } from "yup";
import type { DesignStore } from "../db/designStore";
import { MOST_TAKES } from "../db/takeStore";
import { HttpProblem } from "../problem";
import { isExpected } from "../db/expected";
import { etagOf, expectedRevision } from "./etag";
import { existing, revisionOf, stale } from "./found";
import { ownFields } from "./ownFields";

const LONGEST_NAME = 120;

const body = object({ name: string().strict().max(LONGEST_NAME).matches(/\S/, "name must have letters").required() });

/** `/api/designs/:id/takes`: states of a design that are kept under a name, for good. */
export function takeRoutes(store: DesignStore): Router {
  const router = Router({ mergeParams: true });
  const inside = express.json({ limit: "16kb" });

  router.get("/", async (request: Of, response) => {
    await existing(store, request.params.id);
    const takes = await store.takes.list(request.params.id);
    response.json({ takes: takes.map((take) => ({ ...take, picture: pictureOf(request.params.id, take.revision) })) });
  });

  router.post("/", inside, async (request: Of, response) => {
    const { id } = request.params;
    const expected = expectedRevision(request);
    const name = nameIn(request);
    const { revision } = await existing(store, id);
    if (!isExpected(expected, revision)) throw stale(revision);
    const takes = await store.takes.list(id);
    const same = takes.find((take) => take.revision === revision);
    if (same) throw new HttpProblem(409, `This state is kept already, as “${same.name}”.`, { revision });
    await kept(store, id, revision, name);
    const location = `/api/designs/${id}/takes/${revision}`;
    response.status(201).location(location).set("ETag", etagOf(revision)).json({ id, revision, name });
  });

  // Also names an earlier save, which becomes a take by it.
  router.put("/:revision", inside, async (request: OfOne, response) => {
    const name = nameIn(request);
    const { design, revision } = await revisionOf(store, request.params);
    await kept(store, design, revision, name);
    response.json({ id: design, revision, name });
  });

  router.delete("/:revision", async (request: OfOne, response) => {
    const { design, revision, take } = await revisionOf(store, request.params);
    if (take === null) throw new HttpProblem(404, `Revision ${revision} of “${design}” is no take.`);
    await store.takes.unname(design, revision);
    response.status(204).end();
  });

  return router;
}

type Of = Request<{ id: string }>;
type OfOne = Request<{ id: string; revision: string }>;

/** Keeps a save under a name. Throws where it has gone, or there are too many. */
async function kept(store: DesignStore, id: string, revision: number, name: string): Promise<void> {
  const outcome = await store.takes.name(id, revision, name);
  if (outcome === "missing") throw new HttpProblem(404, `There is no revision ${revision} of “${id}”.`);
  if (outcome === "full") {
    throw new HttpProblem(409, `A design keeps at most ${MOST_TAKES} takes: delete one of them first.`);
  }
}

function nameIn(request: Request<{ id: string }>): string {
  try {
    return body.validateSync(ownFields(request.body, Object.keys(body.fields))).name.trim();
  } catch (error) {
    if (error instanceof ValidationError) {
      throw new HttpProblem(400, `Send { "name": … } of 1 to ${LONGEST_NAME} letters: ${error.errors.join("; ")}.`);
    }
    throw error;
  }
}

const pictureOf = (id: string, revision: number) => `/api/designs/${id}/revisions/${revision}/picture.png`;
