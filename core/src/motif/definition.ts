import { resolveFields } from "../fields/definitionFields";
import type { StoredFields } from "../fields/stored";
import { type FieldsOf, type FieldTable } from "../fields/field";
import type { Conflict } from "../formula/problem";
import type { Resolver } from "../fields/resolver";
import type { Path } from "../geometry/path";
import { NO_SURROUNDINGS, type Drawing, type Surroundings } from "./drawing";
import type { NumberHandle } from "./handles";

/** A kind of motif. Adding one is a file with one of these and a line in the list. */
export interface MotifDefinition {
  /** Its name in files. */
  readonly kind: string;
  /** What a file may say of it. */
  readonly fields: FieldTable;
  /** How one comes to be: offered as a ready shape, or made by hand, by words or from a file. */
  readonly origin: MotifOrigin;
  /** Whether it is a line rather than an area. */
  readonly open: boolean;
  /** Whether its pieces are whole copies of other parts, which say how they are made. */
  readonly repeatsWhole: boolean;
  /** The motif's values with formulas computed; problems are noted at the path. */
  prepare: (stored: StoredFields, resolver: Resolver, path: string) => PreparedMotif;
}

/** How a motif comes to be. */
type MotifOrigin = "ready" | "made";

/** What has to be loaded by the host before a motif can be drawn. */
export interface MotifNeeds {
  /** Fonts by their id. */
  readonly fonts: readonly string[];
  /** Whether outlines are combined. */
  readonly geometryEngine: boolean;
}

/** A motif whose numbers are known. */
export interface PreparedMotif {
  /** Tells two motifs of different outline apart. */
  readonly key: string;
  /** Ids of the parts whose outlines it follows. */
  readonly uses: readonly string[];
  /** Ids of the parts whose paint it takes too. */
  readonly paintFrom: readonly string[];
  /** What must be loaded before it is computed. */
  readonly needs: MotifNeeds;
  /** Its numbers as handles, in its own space. */
  handles: () => readonly NumberHandle[];
  /** Draws it in millimetres, in its own space. */
  draw: (surroundings: Surroundings) => Drawing;
}

interface MotifParts<T> {
  readonly kind: string;
  readonly fields: FieldsOf<T>;
  readonly origin?: MotifOrigin;
  readonly open?: true;
  readonly repeatsWhole?: true;
  /** Draws the outline in millimetres: foot at the origin growing up, or centred where the kind is round. */
  outline: (values: T, surroundings: Surroundings) => Path | Drawing;
  handles?: (values: T) => readonly NumberHandle[];
  uses?: (values: T) => readonly string[];
  paintFrom?: (values: T) => readonly string[];
  needs?: (values: T) => Partial<MotifNeeds>;
  conflicts?: (values: T) => readonly Conflict[];
}

/** Makes a kind of motif of its fields and its outline. */
export function defineMotif<T extends object>(parts: MotifParts<T>): MotifDefinition {
  return {
    kind: parts.kind,
    fields: { ...parts.fields },
    origin: parts.origin ?? "ready",
    open: parts.open ?? false,
    repeatsWhole: parts.repeatsWhole ?? false,
    prepare(stored, resolver, path) {
      const values = resolveFields(parts.fields, stored, resolver, path);
      for (const conflict of parts.conflicts?.(values) ?? []) {
        resolver.reportConflict(path, conflict);
      }
      return {
        key: JSON.stringify([parts.kind, values]),
        uses: parts.uses?.(values) ?? [],
        paintFrom: parts.paintFrom?.(values) ?? [],
        needs: { fonts: [], geometryEngine: false, ...parts.needs?.(values) },
        handles: () => parts.handles?.(values) ?? [],
        draw: (surroundings) => asDrawing(parts.outline(values, surroundings)),
      };
    },
  };
}

function asDrawing(drawn: Path | Drawing): Drawing {
  return "path" in drawn ? drawn : { path: drawn, pieces: null, notes: [] };
}

/** The outline of a motif that stands by itself. Millimetres. */
export function outlineOf(motif: PreparedMotif): Path {
  return motif.draw(NO_SURROUNDINGS).path;
}
