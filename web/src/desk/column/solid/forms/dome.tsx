import { SolidNumber } from "../solidNumber";
import type { FormLabel, FormWordsProps } from "./definition";

function DomeWords({ part, solid }: FormWordsProps) {
  return (
    <>
      <SolidNumber part={part} solid={solid} of="depth" label="depth" /> high in its middle, from{" "}
      <SolidNumber part={part} solid={solid} of="base" label="base" /> up, falling to its edge.
    </>
  );
}

/** The area raised in its middle. */
export const dome: FormLabel = { kind: "dome", words: "a dome", Words: DomeWords };
