import type { ComponentType, ReactNode } from "react";
import type { Guide, GuideKind, NumberField, NumberValue } from "@twin-petal/core";
import { useEditing } from "@/store/deskStore";
import { setGuide } from "@/store/edits/guides";
import { TableNumber } from "../../fields/tableNumber";

/** The words of a kind of guide. Adding one is a file with one of these and a line in the list. */
export interface GuideLabels {
  readonly kind: GuideKind;
  /** What laying one lays, with its article. */
  readonly name: string;
  Panel: ComponentType<{ readonly guide: Guide; readonly index: number }>;
}

type GuideOf<K extends GuideKind> = Extract<Guide, { readonly [key in K]: unknown }>;

/** Makes a number of a guide: its words, what is stored, and the guide with another value. */
type GuideNumber<G> = (
  label: string,
  stored: NumberValue,
  field: NumberField,
  next: (value: NumberValue) => G,
) => ReactNode;

interface GuideLabelParts<K extends GuideKind> {
  readonly kind: K;
  readonly name: string;
  words: (guide: GuideOf<K>, number: GuideNumber<GuideOf<K>>) => ReactNode;
}

export function labelGuide<K extends GuideKind>({ kind, name, words }: GuideLabelParts<K>): GuideLabels {
  const isOwn = (guide: Guide): guide is GuideOf<K> => kind in guide;
  return {
    kind,
    name,
    Panel: function GuidePanel({ guide, index }) {
      const { edit } = useEditing();
      if (!isOwn(guide)) return null;
      return words(guide, (label, stored, field, next) => (
        <TableNumber
          label={`guide ${label}`}
          stored={stored}
          field={field}
          onSet={(value, change, gesture) =>
            edit(setGuide(index, next(value ?? field.default), `guide ${change}`, gesture))
          }
        />
      ));
    },
  };
}
