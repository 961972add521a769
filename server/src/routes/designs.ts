import { Router, type Request, type Response } from "express";
import { object, string, ValidationError } from "yup";
import type { DesignStore, ListQuery } from "../db/designStore";
import { isExpected } from "../db/expected";
import type { Pictures } from "../pictures";
import type { Pools } from "../pools";
import { HttpProblem } from "../problem";
import { DESIGN_TYPE, designIn, takeBody } from "./designBody";
import { etagOf, expectedRevision } from "./etag";
import { existing, missing, revisionOf, stale } from "./found";
import { newId } from "./newId";
import { ownFields } from "./ownFields";
import { takeRoutes } from "./takes";

const listQuery = object({
  search: string().max(200).default(""),
  sort: string()
    .oneOf(["changed", "name"] as const)
    .default("changed"),
  after: string().max(1000),
  bin: string().oneOf(["true", "false"]).default("false"),
});

/** `/api/designs`: the designs on disk. */
export function designRoutes(store: DesignStore, pools: Pools, pictures: Pictures): Router {
  const router = Router();

  router.get("/", async (request, response) => {
    const query = readQuery(request);
    const { rows, more } = await store.list(query);
    const last = rows.at(-1);
    response.json({
      designs: rows.map(({ width, height, unit, sortValue: _, ...row }) => ({
        ...row,
        size: { width, height, unit },
        thumbnail: `/api/designs/${row.id}/picture.png?revision=${row.revision}`,
      })),
      unreadable: await store.unreadable(),
      next: more && last ? cursorOf(last.sortValue, last.id) : null,
    });
  });

  router.post("/", takeBody, async (request, response) => {
    const design = await designIn(request, pools);
    const id = newId();
    await store.create(id, design);
    pictures.soon(id);
    response.status(201).location(`/api/designs/${id}`).set("ETag", etagOf(1)).json({ id, revision: 1 });
  });

  router.get("/:id", async (request, response) => {
    const row = await existing(store, request.params.id);
    response
      .set({ ETag: etagOf(row.revision), "Cache-Control": "no-cache" })
      .type(DESIGN_TYPE)
      .send(row.content);
  });

  router.put("/:id", takeBody, async (request, response) => {
    const expected = expectedRevision(request);
    // Known before anything is read: what builds on an old one is not worth reading.
    const { revision } = await existing(store, request.params.id);
    if (!isExpected(expected, revision)) throw stale(revision);
    const outcome = await store.save(request.params.id, await designIn(request, pools), expected);
    if (outcome.kind === "missing") throw missing(request.params.id);
    if (outcome.kind === "stale") throw stale(outcome.revision);
    pictures.soon(request.params.id);
    response.set("ETag", etagOf(outcome.revision)).json({ id: request.params.id, revision: outcome.revision });
  });

  router.delete("/:id", async (request, response) => {
    if (!(await store.setBinned(request.params.id, true))) throw missing(request.params.id);
    response.status(204).end();
  });

  router.post("/:id/restore", async (request, response) => {
    const { id } = request.params;
    if (!(await store.setBinned(id, false))) throw new HttpProblem(404, `There is no design “${id}” in the bin.`);
    response.status(204).end();
  });

  router.get("/:id/revisions", async (request, response) => {
    await existing(store, request.params.id);
    response.json({ revisions: await store.history(request.params.id) });
  });

  router.get("/:id/revisions/:revision", async (request, response) => {
    const row = await revisionOf(store, request.params);
    response.type(DESIGN_TYPE).send(row.content);
  });

  router.get("/:id/revisions/:revision/picture.png", async (request, response) => {
    const { design, revision, content } = await revisionOf(store, request.params);
    sendPicture(response, await pictures.of({ id: design, revision, content }));
  });

  router.use("/:id/takes", takeRoutes(store));

  router.get("/:id/picture.png", async (request, response) => {
    const row = await store.find(request.params.id);
    if (!row) throw missing(request.params.id);
    sendPicture(response, await pictures.of(row));
  });

  return router;
}

/** The link names the revision, so a picture never changes under its link. */
function sendPicture(response: Response, png: Buffer): void {
  response.set("Cache-Control", "private, max-age=31536000, immutable").type("image/png").send(png);
}

function readQuery(request: Request): ListQuery {
  try {
    const { search, sort, after, bin } = listQuery.validateSync(
      ownFields(request.query, Object.keys(listQuery.fields)),
      { abortEarly: false },
    );
    return { search, order: sort, after: after === undefined ? null : readCursor(after, sort), binned: bin === "true" };
  } catch (error) {
    if (error instanceof ValidationError) throw new HttpProblem(400, error.errors.join("; "));
    throw error;
  }
}

function cursorOf(value: string, id: string): string {
  return Buffer.from(JSON.stringify([value, id])).toString("base64url");
}

function readCursor(text: string, order: ListQuery["order"]): { value: string; id: string } {
  const trouble = new HttpProblem(400, "“after” must be the “next” of a list answered before.");
  try {
    const data: unknown = JSON.parse(Buffer.from(text, "base64url").toString());
    if (!Array.isArray(data)) throw trouble;
    const entries: unknown[] = data;
    const [value, id] = entries;
    if (typeof value !== "string" || typeof id !== "string") throw trouble;
    if (order === "changed" && !/^\d{1,16}$/.test(value)) throw trouble;
    return { value, id };
  } catch {
    throw trouble;
  }
}
