import { Folded } from "../../../fields/folded";
import { EdgeWords } from "../edgeWords";
import { SolidNumber } from "../solidNumber";
import type { FormLabel, FormWordsProps } from "./definition";

function PrismWords({ part, solid }: FormWordsProps) {
  const { base, taper, twist } = solid;
  return (
    <>
      <SolidNumber part={part} solid={solid} of="depth" label="depth" /> deep,{" "}
      <EdgeWords part={part} edge={solid.edge} />.
      <Folded about="taper, twist" said={base !== 0 || taper !== 1 || twist !== 0}>
        From <SolidNumber part={part} solid={solid} of="base" label="base" /> up, its upper outline sized{" "}
        <SolidNumber part={part} solid={solid} of="taper" label="taper" /> and twisted by{" "}
        <SolidNumber part={part} solid={solid} of="twist" label="twist" />.
      </Folded>
    </>
  );
}

/** The area from its foot straight up. */
export const prism: FormLabel = { kind: "prism", words: "a prism", Words: PrismWords };
