import { useId } from "react";
import { Choice } from "@/ui/choice";
import { useAtHand } from "./useAtHand";

interface BoundChoiceProps<C extends string> {
  readonly label: string;
  readonly value: C;
  readonly choices: readonly { readonly value: C; readonly words: string }[];
  onChange: (value: C) => void;
}

/** A choice of the design: its neighbours are pictures of all it could be. */
export function BoundChoice<C extends string>({ label, value, choices, onChange }: BoundChoiceProps<C>) {
  const set = (next: string) => {
    const known = choices.find((one) => one.value === next);
    if (known) onChange(known.value);
  };
  const touch = useAtHand({ kind: "choice", id: useId(), label, value, choices, set });
  return <Choice label={label} value={value} choices={choices} onChange={onChange} onTouched={touch} />;
}
