import type { Scene } from "../scene/scene";

/** How a scene is sewn. */
export type StitchSettings = Scene["making"]["stitch"];

/** Stitches of one part in a row. */
export interface StitchSpan {
  /** The id of the part. */
  readonly part: string;
  /** Which thread, by its place among them. */
  readonly thread: number;
  /** The number of the first stitch. */
  readonly from: number;
  /** The number after the last. */
  readonly to: number;
}

/** Everything a machine that sews is to do, in order. Millimetres from the sheet's middle, x right, y down. */
export interface StitchPlan {
  /** How it is sewn. */
  readonly settings: StitchSettings;
  /** Threads in the order in which they are put in; one that comes back stands there again. */
  readonly threads: readonly { readonly color: string }[];
  /** Where the needle goes, across. */
  readonly x: Float64Array;
  /** Where it goes, down. */
  readonly y: Float64Array;
  /** How it gets there: one of the codes of a stitch file. */
  readonly how: Uint8Array;
  /** Which stretches belong to which part, in order, without gaps. */
  readonly spans: readonly StitchSpan[];
  /** How many threads were put in if parts came in no order set by hand. */
  readonly fewestThreads: number;
}
