import { unwaited } from "@/api/unwaited";
import { useCallback, useMemo } from "react";
import { keepPreviousData, useInfiniteQuery, useMutation, useQueryClient } from "@tanstack/react-query";
import { toast } from "sonner";
import { binDesign, createDesign, fetchDesign, listDesigns, restoreDesign, type WallQuery } from "@/api/designs";
import { messageOf } from "@/api/http";
import { readAnew } from "@/api/readAnew";

const WALL = "wall";
const FIRST_PAGE: string | null = null;

/** The designs on the wall, page after page. */
export function useDesigns(query: WallQuery) {
  return useInfiniteQuery({
    queryKey: [WALL, query],
    queryFn: ({ pageParam }) => listDesigns(query, pageParam),
    initialPageParam: FIRST_PAGE,
    getNextPageParam: ({ next }) => next,
    placeholderData: keepPreviousData,
  });
}

/** What can be done with designs on the wall. */
export function useWallActions() {
  const queries = useQueryClient();
  const refresh = useCallback(() => readAnew(queries, [WALL]), [queries]);
  const showTrouble = (error: unknown) => toast.error(messageOf(error));

  const restore = useMutation({ mutationFn: restoreDesign, onSuccess: refresh, onError: showTrouble });
  const bin = useMutation({
    mutationFn: ({ id }: { id: string; name: string }) => binDesign(id),
    onSuccess: (_, { id, name }) => {
      unwaited(refresh());
      toast(`“${name}” is in the bin`, { action: { label: "Bring it back", onClick: () => restore.mutate(id) } });
    },
    onError: showTrouble,
  });
  const duplicate = useMutation({
    mutationFn: async ({ id, name }: { id: string; name: string }) => {
      const { file } = await fetchDesign(id);
      return createDesign({ ...(typeof file === "object" ? file : {}), name: `${name}, a copy` });
    },
    onSuccess: refresh,
    onError: showTrouble,
  });
  const [toBin, back, double] = [bin.mutate, restore.mutate, duplicate.mutate];
  // The same for as long as nothing changes: cards are drawn anew only where something of them did.
  return useMemo(() => ({ bin: toBin, restore: back, duplicate: double, refresh }), [toBin, back, double, refresh]);
}
