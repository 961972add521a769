/** How much of each pixel a part's paint covers, and where the pixels are on the sheet. */
export interface Coverage {
  /** Pixels. */
  readonly width: number;
  /** Pixels. */
  readonly height: number;
  /** 0…255, rows from the top. */
  readonly alpha: Uint8ClampedArray;
  /** The sheet's place of the picture's upper left corner, millimetres. */
  readonly left: number;
  /** The same downwards, millimetres. */
  readonly top: number;
  /** Pixels a millimetre. */
  readonly scale: number;
}
