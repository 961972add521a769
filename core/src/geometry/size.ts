/** Millimetres across and down. */
export interface Size {
  readonly width: number;
  readonly height: number;
}
