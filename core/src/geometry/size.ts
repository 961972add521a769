/** Millimetres across and down. */
export interface Size {
  /** Along x. */
  readonly width: number;
  /** Along y. */
  readonly height: number;
}
