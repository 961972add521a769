import { useQuery } from "@tanstack/react-query";
import { listSaves, listTakes } from "@/api/takes";

/** What there is of a design beside its present state: what is kept under a name, and the earlier saves that are not. */
export function useSaves(id: string) {
  const takes = useQuery({ queryKey: ["takes", id], queryFn: () => listTakes(id) });
  const saves = useQuery({ queryKey: ["saves", id], queryFn: () => listSaves(id) });
  return {
    takes,
    kept: takes.data ?? [],
    // The latest save is the present state.
    earlier: (saves.data ?? []).slice(1).filter(({ take }) => take === null),
  };
}
