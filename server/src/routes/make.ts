import { Router } from "express";
import { FORMATS, writeDesign } from "@twin-petal/core";
import type { Maker } from "../maker";
import { HttpProblem } from "../problem";
import { designIn, readJson } from "./designBody";

const STANDARD_DPI = 300;

/** `POST /api/make?as=svg`: a design in the body, the file out. */
export function makeRoutes(maker: Maker): Router {
  const router = Router();

  router.post("/", readJson, async (request, response) => {
    const { as, dpi = String(STANDARD_DPI) } = request.query;
    const format = FORMATS.find(({ extension }) => extension === as);
    if (!format) {
      throw new HttpProblem(400, `“as” must be one of ${FORMATS.map(({ extension }) => extension).join(", ")}.`);
    }
    const dots = Number(dpi);
    if (!Number.isFinite(dots) || dots <= 0) throw new HttpProblem(400, "“dpi” must be a number greater than 0.");
    const design = designIn(request);
    const file = await maker.make({ content: writeDesign(design), as: format.extension, dpi: dots });
    response
      .attachment(`${fileName(design.name)}.${format.extension}`)
      .type(format.mediaType)
      .send(file);
  });

  return router;
}

function fileName(name: string): string {
  return (
    name
      .replace(/[^\p{L}\p{N} _-]+/gu, "")
      .trim()
      .slice(0, 80) || "design"
  );
}
