import { string } from "yup";
import type { ChoiceField, FieldOf } from "./field";
import { leaf } from "./leaf";

/** One of several words. */
export function choice<const C extends string>(
  choices: readonly C[],
  standard: NoInfer<C>,
): ChoiceField<C> & FieldOf<C, C> {
  return {
    type: "choice",
    choices,
    default: standard,
    ...leaf<C, C>({
      standard,
      is: (stored): stored is C => choices.some((known) => known === stored),
      schema: () => string().oneOf(choices),
      isRight: (stored) => choices.some((known) => known === stored),
      resolve: (stored) => stored,
      words: choices,
    }),
  };
}
