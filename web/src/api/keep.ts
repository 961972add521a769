import { array, number, object, string, type InferType } from "yup";
import { ask } from "./http";

const brought = object({
  designs: number().required(),
  takes: number().required(),
  there: number().required(),
  pieces: number().required(),
  refused: array(
    object({
      file: string().required(),
      errors: array(object({ path: string().defined(), message: string().required() })).required(),
    }),
  ).required(),
});

/** Brings back what a zip of everything holds; tells what came and what was refused. */
export async function bringBack(zip: Blob): Promise<InferType<typeof brought>> {
  const response = await ask("/api/keep", {
    method: "POST",
    headers: { "Content-Type": "application/zip" },
    body: zip,
  });
  return brought.validate(await response.json());
}
