import {
  apply,
  designResolver,
  directionOf,
  distance,
  invert,
  motifOf,
  multiply,
  polar,
  resolvePlace,
  scopeOf,
  type Field,
  type Matrix,
  type Motif,
  type MotifHandle,
  type Point,
} from "@twin-petal/core";
import { useEditing } from "@/store/deskStore";
import type { FieldOwner } from "@/store/edits/owners";
import { setField } from "@/store/edits/rules";
import { useNumbers } from "../fields/boundNumber";
import { DropMark } from "./drop";
import { Handle } from "./handle";
import { useLengthWords } from "./lengthWords";
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
  const { view } = usePicture();
  const definition = motifOf(motif.kind);
  const prepared = definition?.prepare(motif, resolver, "");
  if (!definition || !prepared || resolver.problems.length > 0) return null;
  return spreadOut(prepared.handles(), toSheet, view?.scale ?? 1, taken).map((handle) => (
    <NumberHandle
      key={handle.field}
      part={part}
      owner={owner}
      handle={handle}
      field={definition.fields[handle.field]}
      stored={motif[handle.field]}
      toSheet={toSheet}
    />
  ));
}

/** Handles nearer together than this would lie on each other, pixels; zooming in brings the rest out. */
const APART = 15;

function spreadOut(
  handles: readonly MotifHandle[],
  toSheet: Matrix,
  scale: number,
  taken: readonly Point[],
): MotifHandle[] {
  const places = [...taken];
  const kept: MotifHandle[] = [];
  for (const handle of handles) {
    const at = apply(toSheet, handle.at);
    if (places.some((place) => distance(place, at) * scale < APART)) continue;
    places.push(at);
    kept.push(handle);
  }
  return kept;
}

interface NumberHandleProps extends Omit<MotifHandlesProps, "motif" | "taken"> {
  readonly handle: MotifHandle;
  readonly field: Field | undefined;
  readonly stored: unknown;
}

function NumberHandle({ part, owner, handle, field, stored, toSheet }: NumberHandleProps) {
  const { edit } = useEditing();
  const { words, rounded, nudge } = useLengthWords();
  const pullFormula = usePulledFormula();
  const back = invert(toSheet);
  if (!back) return null;
  const isNumber = field?.type === "number" || field?.type === "following";
  const tidy = (value: number) => {
    if (!isNumber) return Math.max(0.01, rounded(value));
    const grained = field.quantity === "length" ? rounded(value) : Number(value.toFixed(field.whole ? 0 : 2));
    return Math.min(field.max, Math.max(field.min, grained));
  };
  const tell = (value: number) => {
    if (!isNumber || field.quantity === "length") return words(value);
    return field.quantity === "angle" ? `${Number(value.toFixed(2))}°` : String(Number(value.toFixed(3)));
  };
  const onSheet = apply(toSheet, handle.at);
  const turn = directionOf(onSheet, apply(toSheet, polar(1, handle.direction, handle.at)));
  const name = handle.field.replace("on.", "");
  return (
    <Handle
      label={`${name} of the motif`}
      at={onSheet}
      telling={`${name} ${tell(tidy(handle.pull(handle.at)))}`}
      nudge={nudge}
      onPull={(to, gesture) => {
        const value = tidy(handle.pull(apply(back, to)));
        const change = `${name} → ${tell(value)}`;
        if (typeof stored === "string") return pullFormula(name, stored, value, change, gesture);
        edit(setField(part, owner, handle.field, value, change, `${part}/${handle.field}/${gesture}`));
      }}
    >
      <DropMark turn={turn} small />
    </Handle>
  );
}

/** Where a cutout or a member stands in the motif it belongs to. */
export function useNestedPlace(): (motif: Motif, within: Matrix) => Matrix {
  const resolver = designResolver(scopeOf(useNumbers()));
  return (motif, within) => (motif.at ? multiply(within, resolvePlace(motif.at, resolver, "")) : within);
}
