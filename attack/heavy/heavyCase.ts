/** A design that costs much, and the files that are made of it beside its picture. */
export interface HeavyCase {
  readonly name: string;
  readonly design: object;
  readonly as: readonly string[];
  /** Dots an inch, where pictures are made. */
  readonly dpi?: number;
}

/** A disc, and a star of a thousand points. Millimetres. */
export const DISC = { kind: "disc", radius: 8 };
export const STAR = { kind: "star", points: 1000, outer: 10, inner: 5 };

/** A line of a disc's colour alone. */
export const OUTLINED = { fill: null, line: { width: 1 } };

/** An area with two effects that are computed pixel by pixel. */
export const SHADED = {
  fill: "#224466",
  shadow: { color: "#000000", x: 2, y: 2, blur: 5 },
  grain: { amount: 0.5, size: 0.3 },
};

const SHEET = { width: 400, height: 400 };

/** A case of some parts on a sheet. */
export function heavyCase(
  name: string,
  parts: readonly object[],
  {
    as = ["svg"],
    dpi,
    ...more
  }: { readonly as?: readonly string[]; readonly dpi?: number; readonly sheet?: object } = {},
): HeavyCase {
  return {
    name,
    design: { format: "twin-petal/1", sheet: SHEET, parts, ...more },
    as,
    ...(dpi !== undefined && { dpi }),
  };
}

/** A part with a disc for its motif unless told. */
export const part = (id: string, more: object) => ({ id, motif: DISC, ...more });

/** Rules that set copies in columns and rows, or on rings. Millimetres. */
export const grid = (columns: number, rows: number, pitch: number) => [
  { kind: "grid", columns, rows, pitch: { x: pitch, y: pitch } },
];
export const rings = (count: number, many: number) => [{ kind: "ring", count, rings: many, radius: 20, gap: 1 }];
