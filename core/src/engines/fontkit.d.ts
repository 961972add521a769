/** The part of the font package that is used; it ships no types, and those written for it ask for Node's. */
declare module "fontkit" {
  export interface GlyphPath {
    readonly commands: readonly {
      readonly command: "moveTo" | "lineTo" | "quadraticCurveTo" | "bezierCurveTo" | "closePath";
      readonly args: readonly number[];
    }[];
  }
  export interface Glyph {
    readonly path: GlyphPath;
    readonly advanceWidth: number;
    readonly codePoints: readonly number[];
  }
  export interface GlyphPosition {
    readonly xAdvance: number;
    readonly xOffset: number;
    readonly yOffset: number;
  }
  export interface Font {
    readonly unitsPerEm: number;
    readonly ascent: number;
    /** 0 or undefined where the font does not say. */
    readonly capHeight: number | undefined;
    layout: (text: string) => { readonly glyphs: readonly Glyph[]; readonly positions: readonly GlyphPosition[] };
    hasGlyphForCodePoint: (codePoint: number) => boolean;
  }
  export function create(file: Uint8Array): Font | { readonly fonts: readonly Font[] };
}
