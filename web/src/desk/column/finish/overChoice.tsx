import type { LineGradientOver } from "@twin-petal/core";
import { Choice } from "@/ui/choice";

const OVER_WORDS: Readonly<Record<LineGradientOver, string>> = {
  copy: "over each copy",
  whole: "over the whole",
  line: "along the line",
};

interface OverChoiceProps<O extends LineGradientOver> {
  readonly label: string;
  readonly value: O;
  /** None where there is no choice. */
  readonly overs: readonly O[];
  onChange: (over: O, words: string) => void;
}

/** What several colours lie over. */
export function OverChoice<O extends LineGradientOver>({ label, value, overs, onChange }: OverChoiceProps<O>) {
  if (overs.length === 0) return null;
  return (
    <>
      ,{" "}
      <Choice
        label={label}
        value={value}
        choices={overs.map((over) => ({ value: over, words: OVER_WORDS[over] }))}
        onChange={(over) => onChange(over, OVER_WORDS[over])}
      />
    </>
  );
}
