import type { FieldTable, ResolvedOf } from "../../fields/field";
import { nullable } from "../../fields/nullable";
import { record } from "../../fields/record";
import type { Raster } from "../pools";
import type { Coverage } from "./coverage";
import type { SoftShade } from "./shade";

/** Something that lies under or over a part's paint. Adding one is a file with one of these and a line in the list. */
export interface EffectDefinition<K extends string = string, F extends FieldTable = FieldTable> {
  /** Its field in the finish. */
  readonly kind: K;
  /** What a file may say of it. */
  readonly fields: F;
  /** The finish's own field: the effect, or none. */
  readonly field: ReturnType<typeof fieldOf<F>>;
  /** Whether it lies under the paint or over it. */
  readonly side: "under" | "over";
  /** What is told of a file that has it as an image. */
  readonly pictured: string;
  /** The soft copy it is; null where it is something else. */
  soft: (values: unknown) => SoftShade | null;
  /** How far away it still depends on what is painted: so far beyond it it is seen. Millimetres. */
  reach: (values: unknown) => number;
  /** Lays it over what lies on its side so far. */
  lay: (layer: Raster, values: unknown, coverage: Coverage) => void;
}

interface EffectParts<K extends string, F extends FieldTable> {
  readonly kind: K;
  readonly fields: F;
  readonly side: "under" | "over";
  readonly pictured: string;
  reach?: (values: ResolvedOf<F>) => number;
  soft?: (values: ResolvedOf<F>) => SoftShade;
  lay: (layer: Raster, values: ResolvedOf<F>, coverage: Coverage) => void;
}

/** Makes an effect of what it holds and how it is laid over a layer. */
export function defineEffect<const K extends string, F extends FieldTable>(
  parts: EffectParts<K, F>,
): EffectDefinition<K, F> {
  const { kind, fields, side, pictured } = parts;
  // A finish holds under each effect's name what that effect's own field has computed.
  const isOwn = (values: unknown): values is ResolvedOf<F> =>
    typeof values === "object" && values !== null && Object.keys(fields).every((name) => name in values);
  const own = (values: unknown) => {
    if (isOwn(values)) return values;
    throw new Error(`these are not the values of a ${kind}`);
  };
  return {
    kind,
    fields,
    field: fieldOf(fields),
    side,
    pictured,
    soft: (values) => parts.soft?.(own(values)) ?? null,
    reach: (values) => parts.reach?.(own(values)) ?? 0,
    lay: (layer, values, coverage) => parts.lay(layer, own(values), coverage),
  };
}

function fieldOf<F extends FieldTable>(fields: F) {
  return nullable(record(fields));
}
