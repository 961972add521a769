import {
  apply,
  designResolver,
  directionOf,
  distance,
  invert,
  isPair,
  motifOf,
  multiply,
  polar,
  resolvePlace,
  scopeOf,
  type Field,
  type Matrix,
  type Motif,
  type NumberHandle,
  type FieldTable,
  type FieldValue,
  type Point,
  type Rule,
} from "@twin-petal/core";
import { useEditing } from "@/store/deskStore";
import type { FieldOwner } from "@/store/edits/owners";
import { setField } from "@/store/edits/rules";
import { useNumbers } from "../fields/useNumbers";
import { fieldWords } from "../fields/fieldWords";
import { DropMark } from "./drop";
import { Handle } from "./handle";
import { useLengthReadout } from "./useLengthReadout";
import { usePicture } from "./pictureContext";
import { usePulledFormula } from "./pulledFormula";

interface MotifHandlesProps {
  readonly part: string;
  readonly owner: FieldOwner;
  readonly motif: Motif;
  /** From the motif's own space to the sheet. */
  readonly toSheet: Matrix;
  /** Where other handles stand on the sheet; they go before. */
  readonly taken: readonly Point[];
}

/** Every number of a ready shape on a handle of its own. */
export function MotifHandles({ part, owner, motif, toSheet, taken }: MotifHandlesProps) {
  const resolver = designResolver(scopeOf(useNumbers()));
  const { view } = usePicture("view");
  const definition = motifOf(motif.kind);
  const prepared = definition?.prepare(motif, resolver, "");
  if (!definition || !prepared || resolver.problems.length > 0) return null;
  const handles = spreadOut(prepared.handles(), toSheet, view?.scale ?? 1, taken);
  return (
    <NumberHandles
      part={part}
      owner={owner}
      handles={handles}
      fields={definition.fields}
      stored={motif}
      toSheet={toSheet}
    />
  );
}

interface NumberHandlesProps {
  readonly part: string;
  readonly owner: FieldOwner;
  readonly handles: readonly NumberHandle[];
  readonly fields: FieldTable;
  readonly stored: Motif | Rule;
  readonly toSheet: Matrix;
}

/** Numbers of a motif or a rule, each on a drop. */
export function NumberHandles({ part, owner, handles, fields, stored, toSheet }: NumberHandlesProps) {
  return handles.map((handle) => (
    <NumberDrop
      key={handle.field}
      part={part}
      owner={owner}
      handle={handle}
      field={fields[handle.field.split(".")[0] ?? ""]}
      stored={stored[handle.field.split(".")[0] ?? ""]}
      whose={owner === "motif" || (typeof owner === "object" && !("rule" in owner)) ? "motif" : stored.kind}
      toSheet={toSheet}
    />
  ));
}

/** Handles nearer together than this would lie on each other, pixels; zooming in brings the rest out. */
const APART = 15;

function spreadOut(
  handles: readonly NumberHandle[],
  toSheet: Matrix,
  scale: number,
  taken: readonly Point[],
): NumberHandle[] {
  const places = [...taken];
  const kept: NumberHandle[] = [];
  for (const handle of handles) {
    const at = apply(toSheet, handle.at);
    if (places.some((place) => distance(place, at) * scale < APART)) continue;
    places.push(at);
    kept.push(handle);
  }
  return kept;
}

interface NumberDropProps extends Omit<MotifHandlesProps, "motif" | "taken"> {
  readonly handle: NumberHandle;
  readonly field: Field | undefined;
  readonly stored: FieldValue | undefined;
  /** What it is called after: "motif", or the kind of the rule. */
  readonly whose: string;
}

function NumberDrop({ part, owner, handle, field, stored, whose, toSheet }: NumberDropProps) {
  const { edit } = useEditing();
  const { words, rounded, nudge } = useLengthReadout();
  const pullFormula = usePulledFormula();
  const back = invert(toSheet);
  if (!back) return null;
  const isNumber = field?.type === "number" || field?.type === "following" || field?.type === "pair";
  const tidy = (value: number) => {
    if (!isNumber) return Math.max(0.01, rounded(value));
    const grained = field.quantity === "length" ? rounded(value) : Number(value.toFixed(field.whole ? 0 : 2));
    return Math.min(field.max, Math.max(field.min, grained));
  };
  const inWords = (value: number) => {
    if (!isNumber || field.quantity === "length") return words(value);
    return field.quantity === "angle" ? `${Number(value.toFixed(2))}°` : String(Number(value.toFixed(3)));
  };
  const onSheet = apply(toSheet, handle.at);
  const turn = directionOf(onSheet, apply(toSheet, polar(1, handle.direction, handle.at)));
  const [outer = "", inner] = handle.field.split(".");
  const isWhole = isNumber && field.whole;
  const name = fieldWords(field?.type === "pair" ? outer : (inner ?? outer));
  const set = (value: number, gesture: string) => {
    const change = `${name} → ${inWords(value)}`;
    if (typeof stored === "string") return pullFormula(name, stored, value, change, gesture);
    const key = `${part}/${handle.field}/${gesture}`;
    if (field?.type !== "pair") return edit(setField(part, owner, handle.field, value, change, key));
    edit(setField(part, owner, outer, withSide(stored, inner, value), change, key));
  };
  return (
    <Handle
      label={`${name} of the ${whose}`}
      at={onSheet}
      readout={`${name} ${inWords(tidy(handle.pull(handle.at)))}`}
      nudge={nudge}
      onPull={(to, gesture) => set(tidy(handle.pull(apply(back, to))), gesture)}
      {...(isWhole && { onStep: (by, gesture) => set(tidy(handle.pull(handle.at) + by), gesture) })}
    >
      <DropMark turn={turn} small />
    </Handle>
  );
}

/** A pair with one of its two numbers changed; one number that stands for both stays one unless a side is named. */
function withSide(stored: FieldValue | undefined, side: string | undefined, value: number): FieldValue {
  if (side === undefined) return value;
  const both = typeof stored === "number" || typeof stored === "string" ? { x: stored, y: stored } : null;
  const pair = both ?? (isPair(stored) ? stored : { x: value, y: value });
  return side === "x" ? { x: value, y: pair.y } : { x: pair.x, y: value };
}

/** Where a cutout or a member stands in the motif it belongs to. */
export function useNestedPlace(): (motif: Motif, within: Matrix) => Matrix {
  const resolver = designResolver(scopeOf(useNumbers()));
  return (motif, within) => (motif.at ? multiply(within, resolvePlace(motif.at, resolver, "")) : within);
}
