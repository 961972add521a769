import { Router, type Request } from "express";
import { fileName, FORMATS, OPTION_NAMES, optionTrouble, type MakeOptions } from "@twin-petal/core";
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
  for (const name of OPTION_NAMES) {
    if (query[name] === undefined) continue;
    const value = Number(query[name]);
    const trouble = optionTrouble(name, value);
    if (trouble !== null) throw new HttpProblem(400, `${trouble}.`);
    options[name] = value;
  }
  return options;
}
