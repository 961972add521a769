import { useDesk } from "@/store/deskStore";
import type { Tool } from "@/store/hand";
import type { ChosenReport } from "@/workers/frame";
import { usePicture } from "./pictureContext";

/** The kind of motif a tool goes on with; with another one chosen it begins a new part, or is about the sheet. */
const GOES_ON: Readonly<Partial<Record<Tool, string>>> = { draw: "drawn", freehand: "freehand", measure: "none" };

/** The chosen part as it stands, where the tool in hand works on it; null where what is made is a part of its own. */
export function useWorkedOn(): ChosenReport | null {
  const { report } = usePicture("report");
  const tool = useDesk((state) => state.hand.tool);
  const part = useDesk((state) => state.history.design.parts.find(({ id }) => id === state.chosen));
  const kind = GOES_ON[tool];
  if (!part || report?.chosen?.id !== part.id) return null;
  return kind === undefined || part.motif.kind === kind ? report.chosen : null;
}
