/** The part of the geometry package that is used; the types it ships stand at a path that is not there. */
declare module "clipper2-wasm" {
  export interface Path64 {
    assign: (coordinates: BigInt64Array) => void;
    view: () => BigInt64Array;
    delete: () => void;
  }
  export interface Paths64 {
    push_back: (path: Path64) => void;
    size: () => number;
    get: (index: number) => Path64;
    delete: () => void;
  }
  export interface Clipper64 {
    SetPreserveCollinear: (preserve: boolean) => void;
    AddSubject: (paths: Paths64) => void;
    AddOpenSubject: (paths: Paths64) => void;
    AddClip: (paths: Paths64) => void;
    ExecutePath: (clipType: ClipType, fillRule: FillRule, closedPaths: Paths64, openPaths?: Paths64) => boolean;
    delete: () => void;
  }
  export interface ClipType {
    readonly clipType: unique symbol;
  }
  export interface FillRule {
    readonly fillRule: unique symbol;
  }
  export interface JoinType {
    readonly joinType: unique symbol;
  }
  export interface EndType {
    readonly endType: unique symbol;
  }
  export interface MainModule {
    readonly Path64: new () => Path64;
    readonly Paths64: new () => Paths64;
    readonly Clipper64: new () => Clipper64;
    readonly JoinType: Readonly<Record<"Square" | "Round" | "Miter", JoinType>>;
    readonly EndType: Readonly<Record<"Polygon" | "Joined" | "Butt" | "Square" | "Round", EndType>>;
    readonly InflatePaths64: (
      paths: Paths64,
      by: number,
      corners: JoinType,
      ends: EndType,
      miterLimit: number,
      arcTolerance: number,
    ) => Paths64;
    readonly ClipType: Readonly<Record<"Intersection" | "Union" | "Difference" | "Xor", ClipType>>;
    readonly FillRule: Readonly<Record<"EvenOdd" | "NonZero" | "Positive", FillRule>>;
  }
  type Factory = (options: { wasmBinary: Uint8Array | ArrayBuffer }) => Promise<MainModule>;
  /** The function itself where the module is loaded as such, one level down where it is loaded as CommonJS. */
  const factory: Factory | { readonly default: Factory };
  export default factory;
}
