import { writeDesign } from "../design/write";
import type { FlatFormat } from "./format";

/** The design file itself. */
export const designFile: FlatFormat = {
  extension: "petal.json",
  mediaType: "application/vnd.twin-petal+json",
  kind: "data",
  options: [],
  make: ({ design }) => writeDesign(design),
};
