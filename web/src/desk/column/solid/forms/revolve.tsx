import { SolidNumber } from "../solidNumber";
import type { FormLabel, FormWordsProps } from "./definition";

function RevolveWords({ part, solid }: FormWordsProps) {
  return (
    <>
      : what lies right of the upright axis, swept by <SolidNumber part={part} solid={solid} of="sweep" label="sweep" />{" "}
      about it.
    </>
  );
}

/** The right half swept about the upright axis. */
export const revolve: FormLabel = { kind: "revolve", words: "a solid of revolution", Words: RevolveWords };
