import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useNavigate } from "react-router";
import { toast } from "sonner";
import { problemLine, readDesign, toFile, type Design } from "@twin-petal/core";
import { createDesign } from "@/api/designs";
import { messageOf } from "@/api/http";
import { readAnew } from "@/api/readAnew";
import { dropTake, fetchSave, keepTake, nameTake, type Take } from "@/api/takes";
import { useDeskStore } from "@/store/deskStore";
import { goBackTo } from "@/store/edits/goBack";
import { whenSaved } from "@/store/whenSaved";
import { useSaves } from "./useSaves";

const tell = (error: unknown) => void toast.error(messageOf(error));

/** The takes and the earlier saves of the design on the desk, and what can be done with them. */
export function useTakes() {
  const store = useDeskStore();
  const { id } = store.getState();
  const client = useQueryClient();
  const go = useNavigate();
  const saved = useSaves(id);
  const changed = () => void readAnew(client, ["takes", id], ["saves", id]);

  const keep = useMutation({
    mutationFn: async (name: string) => keepTake(id, name, await whenSaved(store)),
    onSuccess: (_, name) => toast.success(`Kept as “${name}”`),
    onError: tell,
    onSettled: changed,
  });
  const name = useMutation({
    mutationFn: ({ revision, name: next }: { revision: number; name: string }) => nameTake(id, revision, next),
    onError: tell,
    onSettled: changed,
  });
  const drop = useMutation({
    mutationFn: ({ revision }: Take) => dropTake(id, revision),
    onSuccess: (_, { revision, name: dropped }) =>
      toast(`“${dropped}” is no longer kept`, {
        action: { label: "Undo", onClick: () => name.mutate({ revision, name: dropped }) },
      }),
    onError: tell,
    onSettled: changed,
  });
  const goBack = useMutation({
    mutationFn: async ({ revision, words }: { revision: number; words: string }) => {
      const design = await readSave(id, revision);
      store.getState().edit(goBackTo(design, `go back to ${words}`));
    },
    onError: tell,
  });
  const open = useMutation({
    mutationFn: async ({ revision, words }: { revision: number; words: string }) => {
      const design = await readSave(id, revision);
      return createDesign(toFile({ ...design, name: `${design.name}, ${words}`.slice(0, 120) }));
    },
    onSuccess: (next) => void go(`/designs/${next}`),
    onError: tell,
  });
  return { id, ...saved, keep, name, drop, goBack, open };
}

async function readSave(id: string, revision: number): Promise<Design> {
  const { design, problems } = readDesign(await fetchSave(id, revision));
  if (!design) throw new Error(`That save cannot be read: ${problems.map(problemLine).join("; ")}`);
  return design;
}
