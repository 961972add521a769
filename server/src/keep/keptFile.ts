import { array, boolean, number, object, string, type InferType } from "yup";

/** The version written into every file of everything. */
export const KEPT_FORMAT = "twin-petal-kept/1";
/** Where the list of what is in the file stands in it. */
export const LIST_NAME = "kept.json";
/** Where the shelf stands in it. */
export const SHELF_NAME = "Shelf.petal-shelf.json";

const state = object({
  /** Where its design file stands in the zip. */
  file: string().required(),
  revision: number().integer().min(1).required(),
  /** Milliseconds since 1970. */
  changed: number().required(),
});

const keptTake = state.shape({ name: string().trim().required().max(120) });

const keptDesign = state.shape({
  id: string()
    .matches(/^[a-z0-9-]{1,60}$/)
    .required(),
  binned: boolean().required(),
  takes: array(keptTake).required(),
});

/** The list of what is in the file. */
export const keptList = object({
  format: string().oneOf([KEPT_FORMAT]).required(),
  designs: array(keptDesign).max(100_000).required(),
});

/** A design as the list tells of it. */
export type KeptDesign = InferType<typeof keptDesign>;
/** What is in the file. */
export type KeptList = InferType<typeof keptList>;
