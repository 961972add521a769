import type { ComponentType } from "react";
import type { EffectKind, Finish, NumberField, NumberValue, PaletteColor } from "@twin-petal/core";
import { useEditing } from "@/store/deskStore";
import { setFinish } from "@/store/edits/finish";
import { TableNumber } from "../../../fields/tableNumber";

/** The words of an effect. Adding one is a file with one of these and a line in the list. */
export interface EffectLabels {
  readonly kind: EffectKind;
  readonly name: string;
  /** What adding it adds, with its article. */
  readonly add: string;
  Panel: ComponentType<{ readonly part: string; readonly finish: Finish; readonly palette: readonly PaletteColor[] }>;
}

/** What an effect's own words are given. */
export interface EffectPanelProps<K extends EffectKind> {
  readonly part: string;
  readonly values: NonNullable<Finish[K]>;
  readonly palette: readonly PaletteColor[];
}

interface EffectLabelParts<K extends EffectKind> {
  readonly kind: K;
  readonly name: string;
  readonly add: string;
  Panel: ComponentType<EffectPanelProps<K>>;
}

export function labelEffect<K extends EffectKind>({ kind, name, add, Panel }: EffectLabelParts<K>): EffectLabels {
  return {
    kind,
    name,
    add,
    Panel({ part, finish, palette }) {
      const values = finish[kind];
      return values ? <Panel part={part} values={values} palette={palette} /> : null;
    },
  };
}

/** Stores changes of one effect, and makes its numbers. */
export function useEffectOf<K extends EffectKind>(part: string, kind: K, name: string, values: NonNullable<Finish[K]>) {
  const { edit } = useEditing();
  const set = (change: Partial<NonNullable<Finish[K]>>, label: string, gesture?: string) =>
    edit(setFinish(part, kind, { ...values, ...change }, label, gesture && `${part}/${kind}/${gesture}`));
  const number = (
    words: string,
    stored: NumberValue,
    field: NumberField,
    withValue: (next: NumberValue) => Partial<NonNullable<Finish[K]>>,
  ) => (
    <TableNumber
      label={`${name} ${words}`}
      stored={stored}
      field={field}
      onSet={(next, change, gesture) => set(withValue(next ?? field.default), change, gesture)}
    />
  );
  return { set, number };
}
