import type { Design } from "../design/design";

/** What a maker may be told. */
export interface MakeOptions {
  /** Dots an inch, for pictures. */
  readonly dpi: number;
}

/** A file format designs can be made into. Adding one is a file with its maker and a line in the list. */
export interface Format {
  /** The file's ending without the dot; also the `as` of the interface over HTTP. */
  readonly extension: string;
  readonly mediaType: string;
  /** Whether the host must load the rasteriser before this design is made. */
  needsRasteriser?: (design: Design) => boolean;
  /** What of this design is not as the format would best have it, in words. */
  tells?: (design: Design) => string | null;
  /** Why this design cannot be made with these options, or null. */
  refuses?: (design: Design, options: MakeOptions) => string | null;
  make: (design: Design, options: MakeOptions) => string | Uint8Array<ArrayBuffer> | Promise<Uint8Array<ArrayBuffer>>;
}
