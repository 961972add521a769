import { isStoredFields } from "@twin-petal/core";
import { NumberHandles } from "./motifHandles";
import { SecondShapeHandles } from "./nestedHandles";
import type { HandledRule } from "./useRuleHandles";

/** The numbers of a rule that can be pulled on the ornament, and the second shape of one that has it. */
export function RuleHandles({ part, handled }: { part: string; handled: HandledRule }) {
  const { rule, toSheet, handles, fields, stored } = handled;
  const second = stored.to;
  if (isStoredFields(second)) {
    return <SecondShapeHandles part={part} rule={rule} motif={second} toSheet={toSheet} />;
  }
  return (
    <NumberHandles part={part} owner={{ rule }} handles={handles} fields={fields} stored={stored} toSheet={toSheet} />
  );
}
