import { useState } from "react";
import { COPY_NAMES, isNumberValue, readCopyFormula, scopeOf } from "@twin-petal/core";
import { useTroubleNotes } from "@/ui/sentence";
import { useNumbers } from "./useNumbers";
import { useField, useFieldLabel } from "./fieldsContext";
import { FormulaCurve } from "./formulaCurve";

/** A formula over what each copy knows of itself, typed where it stands, with the curve of its values. */
export function FieldFormula({ of, label: own }: { of: string; label: string }) {
  const label = useFieldLabel(own);
  const { stored, set } = useField(of, "formula");
  const { note } = useTroubleNotes();
  const scope = scopeOf(useNumbers());
  const text = isNumberValue(stored) ? String(stored) : "";
  const [typed, setTyped] = useState<string | null>(null);
  const shown = typed ?? text;

  const type = (next: string) => {
    setTyped(next);
    const outcome = readCopyFormula(next, COPY_NAMES, scope);
    note(of, "trouble" in outcome ? outcome.trouble : null);
    if (!("trouble" in outcome)) set(next, `${label} ${next}`, "typing");
  };
  return (
    <>
      <input
        aria-label={label}
        value={shown}
        spellCheck={false}
        size={Math.max(8, shown.length)}
        title={`A formula of ${COPY_NAMES.join(", ")} and the design’s numbers`}
        onChange={(event) => type(event.target.value)}
        onBlur={() => {
          setTyped(null);
          note(of, null);
        }}
        onKeyDown={(event) => {
          if (event.key === "Enter" || event.key === "Escape") event.currentTarget.blur();
        }}
        className="max-w-full rounded border border-hairline bg-surface px-1 font-mono text-[14.5px] text-live focus:border-live"
      />
      <FormulaCurve field={of} label={label} />
    </>
  );
}
