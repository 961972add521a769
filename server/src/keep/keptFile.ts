import { array, boolean, number, object, string, type InferType } from "yup";
import { SHELF_KINDS } from "@twin-petal/core";
import { LATEST, MOST_REVISION } from "../db/schema";
import { MOST_TAKES } from "../db/takeStore";

/** The version written into every file of everything. */
export const KEPT_FORMAT = "twin-petal-kept/2";
/** The version before, whose shelf is one file. */
const KEPT_BEFORE = "twin-petal-kept/1";
/** Where the list of what is in the file stands in it. */
export const LIST_NAME = "kept.json";
/** Where the shelf stood in files of the version before. */
export const SHELF_NAME = "Shelf.petal-shelf.json";

const state = object({
  /** Where its design file stands in the zip. */
  file: string().required().max(1_000),
  revision: number().integer().min(1).max(MOST_REVISION).required(),
  /** Milliseconds since 1970. */
  changed: number().integer().min(0).max(LATEST).required(),
});

const keptTake = state.shape({ name: string().trim().required().max(120) });

const keptDesign = state.shape({
  id: string()
    .matches(/^[a-z0-9-]{1,60}$/)
    .required(),
  binned: boolean().required(),
  takes: array(keptTake).max(MOST_TAKES).required(),
});

const keptPiece = object({
  /** Where the design file that holds it stands in the zip. */
  file: string().required().max(1_000),
  kind: string().oneOf(SHELF_KINDS).required(),
});

/** The list of what is in the file. */
export const keptList = object({
  format: string().oneOf([KEPT_FORMAT, KEPT_BEFORE]).required(),
  designs: array(keptDesign).max(100_000).required(),
  /** Those on the shelf, in its order. */
  pieces: array(keptPiece).max(10_000),
});

/** A design as the list tells of it. */
export type KeptDesign = InferType<typeof keptDesign>;
/** A piece of the shelf as it tells of it. */
export type KeptPiece = InferType<typeof keptPiece>;
/** What is in the file. */
export type KeptList = InferType<typeof keptList>;
