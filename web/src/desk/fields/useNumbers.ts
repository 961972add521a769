import { resolveNumbers, type NamedNumber } from "@twin-petal/core";
import { useDesk } from "@/store/deskStore";

const computed = new WeakMap<readonly NamedNumber[], ReadonlyMap<string, number>>();

/** The design's named numbers, computed once for all who ask. */
export function useNumbers(): ReadonlyMap<string, number> {
  const numbers = useDesk((state) => state.history.design.numbers);
  const known = computed.get(numbers);
  if (known) return known;
  const { values } = resolveNumbers(numbers);
  computed.set(numbers, values);
  return values;
}
