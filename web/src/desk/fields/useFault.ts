import { useDesk } from "@/store/deskStore";
import { ownerPath } from "@/store/edits/owners";
import { usePicture } from "../stage/pictureContext";
import { useFields } from "./fieldsContext";

/** What is wrong with a field beside others, in words, as the picture's maker found it; null where nothing is. */
export function useFault(name: string): string | null {
  const { part, owner } = useFields();
  const { report } = usePicture("report");
  const index = useDesk((state) => state.history.design.parts.findIndex(({ id }) => id === part));
  const path = `parts[${index}].${ownerPath(owner)}.${name}`;
  return report?.problems.find((problem) => problem.path === path)?.message ?? null;
}
