import { boolean } from "yup";
import type { FieldOf, ToggleField } from "./field";
import { leaf } from "./leaf";

/** Yes or no. */
export function toggle(standard: boolean): ToggleField & FieldOf<boolean, boolean> {
  return {
    type: "toggle",
    default: standard,
    ...leaf<boolean, boolean>({
      standard,
      is: (stored) => typeof stored === "boolean",
      schema: () => boolean(),
      isRight: (stored) => typeof stored === "boolean",
      resolve: (stored) => stored,
    }),
  };
}
