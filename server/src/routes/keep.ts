import { Router, type Request, type Response } from "express";
import { pipeline } from "node:stream/promises";
import type { Keeping } from "../keep/keeping";
import { CHOICES, type Choice, type Choices } from "../keep/takeBack";
import { HttpProblem, problemOf, UNFORESEEN } from "../problem";

/** So often it is told how far bringing has come, milliseconds. */
const TELL_EVERY = 200;

/**
 * `/api/keep`: everything out as one zip, and back in. `?differing=` says what becomes of designs that are here otherwise: `mine`,
 * `file` or `both`; `?mine=`, `?file=` and `?both=` name those of which something else was chosen. As server-sent events, where those
 * are asked for, it is told how far it is.
 */
export function keepRoutes(keeping: Keeping): Router {
  const router = Router();

  router.get("/", async (_request, response) => {
    const packed = keeping.out();
    const day = new Date().toISOString().slice(0, 10);
    response.attachment(`Twin Petal ${day}.zip`).type("application/zip");
    await pipeline(packed, response).catch((error: unknown) => {
      // Whoever has gone away waits for nothing.
      if (!response.destroyed) throw error;
    });
  });

  router.post("/", async (request, response) => {
    if (!request.is("application/zip")) throw new HttpProblem(415, "Send a zip as application/zip.");
    const choices = choicesIn(request);
    const gone = new AbortController();
    response.once("close", () => gone.abort());
    if (request.accepts(["application/json", "text/event-stream"]) === "text/event-stream") {
      return tellEvents(request, response, (onDesign) => keeping.back(request, choices, gone.signal, onDesign));
    }
    response.json(await keeping.back(request, choices, gone.signal, () => undefined));
  });

  return router;
}

/** Tells how far something has come as events, and at last what came of it, or why it did not. */
async function tellEvents(
  request: Request,
  response: Response,
  work: (onDesign: (done: number, of: number) => void) => Promise<object>,
): Promise<void> {
  // What may be transformed would be gathered and packed before it is sent.
  response.set({ "Content-Type": "text/event-stream", "Cache-Control": "no-cache, no-transform" });
  const send = (event: string, data: object) => response.write(`event: ${event}\ndata: ${JSON.stringify(data)}\n\n`);
  let told = 0;
  try {
    const outcome = await work((done, of) => {
      if (Date.now() - told < TELL_EVERY) return;
      told = Date.now();
      send("design", { done, of });
    });
    send("end", outcome);
  } catch (error) {
    const known = problemOf(error, request.path);
    if (!known) request.log.error({ err: error }, "unexpected");
    const { status, message, more } = known ?? UNFORESEEN;
    send("problem", { status, detail: message, ...more });
  } finally {
    response.end();
  }
}

function choicesIn({ query }: Request): Choices {
  const usual = query.differing === undefined ? null : CHOICES.find((choice) => choice === query.differing);
  if (usual === undefined) throw new HttpProblem(400, `“differing” must be one of ${CHOICES.join(", ")}.`);
  const named = CHOICES.flatMap((choice) => idsIn(query[choice]).map((id): [string, Choice] => [id, choice]));
  return { usual, of: new Map(named) };
}

/** Ids with commas between. */
const idsIn = (given: unknown) => (typeof given === "string" ? given.split(",").filter(Boolean) : []);
