import { useQuery } from "@tanstack/react-query";
import { readDesign, type Design } from "@twin-petal/core";
import { fetchSave } from "@/api/takes";
import { useSaves } from "@/desk/takes/useSaves";
import { whenWords } from "@/ui/whenWords";
import { useDesign } from "@/store/deskStore";

/** The present state, whatever it becomes. */
export const PRESENT = 0;

/** A state of the design that can be looked at: the present one, or a save by its revision. */
export interface OfferedState {
  readonly revision: number;
  readonly words: string;
}

/** What there is to compare: the present state, the takes, the earlier saves. */
export function useOfferedStates(id: string, now: number): readonly OfferedState[] {
  const { kept, earlier } = useSaves(id);
  return [
    { revision: PRESENT, words: "as it is now" },
    ...kept.map(({ revision, name }) => ({ revision, words: `“${name}”` })),
    ...earlier.map(({ revision, changed }) => ({ revision, words: `saved ${whenWords(changed, now)}` })),
  ];
}

/** The design at a state; null until it has come, or where it cannot be read. */
export function useStateOf(id: string, revision: number): Design | null {
  const present = useDesign();
  const saved = useQuery({
    queryKey: ["save", id, revision],
    queryFn: async () => readDesign(await fetchSave(id, revision)).design,
    enabled: revision !== PRESENT,
    staleTime: Infinity,
  });
  return revision === PRESENT ? present : (saved.data ?? null);
}
