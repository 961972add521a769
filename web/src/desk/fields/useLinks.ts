import type { LinkReport } from "@twin-petal/core";
import { usePicture } from "../stage/pictureContext";
import { useFields } from "./fieldsContext";

const NONE: readonly LinkReport[] = [];

/** The numbers that hang together in the rule whose sentence this is, as the last picture has them. */
export function useLinks(): readonly LinkReport[] {
  const { part, owner } = useFields();
  const { report } = usePicture("report");
  if (report?.chosen?.id !== part || typeof owner !== "object" || !("rule" in owner)) return NONE;
  return report.chosen.links.get(owner.rule) ?? NONE;
}
