import { useState, type ReactNode } from "react";
import { isFieldDefault } from "@twin-petal/core";
import { useFields } from "./fieldsContext";
import { WordButton } from "./wordButton";

/** The rest of a sentence, kept folded while it says nothing that is not usual. */
export function More({ fields, children }: { fields: readonly string[]; children: ReactNode }) {
  const { stored, table } = useFields();
  const [open, setOpen] = useState(false);
  const said = fields.some((name) => {
    const field = table[name];
    return field && !isFieldDefault(field, stored[name]);
  });
  if (said || open) return <> {children}</>;
  return <WordButton onClick={() => setOpen(true)}>more …</WordButton>;
}
