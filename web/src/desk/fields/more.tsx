import type { ReactNode } from "react";
import { useFields } from "./fieldsContext";
import { Folded } from "./folded";

interface MoreProps {
  /** What the rest is about, in a word or two. */
  readonly about: string;
  /** The fields it tells; it unfolds by itself when one of them is not at its default. */
  readonly fields: readonly string[];
  readonly children: ReactNode;
}

/** The rest of a sentence, kept folded while it says nothing that is not usual. */
export function More({ about, fields, children }: MoreProps) {
  const { stored, table } = useFields();
  const said = fields.some((name) => {
    const field = table[name];
    return field && !field.isDefault(stored[name]);
  });
  return (
    <Folded about={about} said={said}>
      {children}
    </Folded>
  );
}
