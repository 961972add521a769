import { Router, type Request } from "express";
import { fileName, FORMATS, USUAL_OPTIONS, type MakeOptions } from "@twin-petal/core";
import type { Pools } from "../pools";
import { HttpProblem } from "../problem";
import { designIn, takeBody } from "./designBody";

/** `POST /api/make?as=svg`: a design in the body, the file out; what should be known of it in the header `Notes`. */
export function makeRoutes(pools: Pools): Router {
  const router = Router();

  router.post("/", takeBody, async (request, response) => {
    const format = FORMATS.find(({ extension }) => extension === request.query.as);
    if (!format) {
      throw new HttpProblem(400, `“as” must be one of ${FORMATS.map(({ extension }) => extension).join(", ")}.`);
    }
    const options = optionsIn(request);
    const design = await designIn(request, pools);
    // Who has gone away waits for nothing.
    const gone = new AbortController();
    response.once("close", () => gone.abort());
    const { file, notes } = await pools.make(design, format.extension, options, gone.signal);
    // A header holds plain letters only.
    if (notes.length > 0) response.set("Notes", notes.map(encodeURIComponent).join(", "));
    response
      .attachment(`${fileName(design.summary.name)}.${format.extension}`)
      .type(format.mediaType)
      .send(file);
  });

  return router;
}

function optionsIn({ query }: Request): Partial<MakeOptions> {
  const options: { -readonly [Name in keyof MakeOptions]?: number } = {};
  for (const name of optionNames(USUAL_OPTIONS)) {
    if (query[name] === undefined) continue;
    const value = Number(query[name]);
    if (!Number.isFinite(value) || value <= 0) throw new HttpProblem(400, `“${name}” must be a number greater than 0.`);
    options[name] = value;
  }
  return options;
}

/** The names of what makers may be told. */
const optionNames = (options: MakeOptions) =>
  Object.keys(options).filter((name): name is keyof MakeOptions => name in options);
