import type { Row } from "./row";

/** Rows that are measured together. */
export interface Group {
  /** What `npm run bench -- name` calls it. */
  readonly name: string;
  /** What its rows stand beside, and how they are timed: a paragraph of the page of measurements. */
  readonly about: string;
  /** The folders whose change may change its rows. */
  readonly folders: readonly string[];
  /** Whether it is soon measured, and told at the end of the tests. */
  readonly quick?: true;
  measure: () => Row[] | Promise<Row[]>;
}
