import { designResolver, ruleOf, scopeOf, type Matrix, type Part } from "@twin-petal/core";
import { useNumbers } from "../fields/boundNumber";
import { NumberHandles } from "./motifHandles";
import { SecondShapeHandles } from "./nestedHandles";

interface RuleHandlesProps {
  readonly part: Part;
  /** The rule's number in the part. */
  readonly rule: number;
  readonly toSheet: Matrix;
}

/** The numbers of a rule that can be pulled on the ornament. */
export function RuleHandles({ part, rule, toSheet }: RuleHandlesProps) {
  const resolver = designResolver(scopeOf(useNumbers()));
  const stored = part.rules[rule];
  const definition = stored && ruleOf(stored.kind);
  if (!stored || !definition) return null;
  const handles = definition.prepare(stored, resolver, "").handles();
  if (resolver.problems.length > 0) return null;
  const second = stored.to;
  if (typeof second === "object" && "kind" in second) {
    return <SecondShapeHandles part={part.id} rule={rule} motif={second} toSheet={toSheet} />;
  }
  return (
    <NumberHandles
      part={part.id}
      owner={{ rule }}
      handles={handles}
      fields={definition.fields}
      stored={stored}
      toSheet={toSheet}
    />
  );
}
