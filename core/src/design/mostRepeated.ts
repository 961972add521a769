import type { Design } from "./design";
import { resolveDesign } from "./resolve";

/** The id of the visible part whose rules make the most copies, the topmost of equals; null where there is none. */
export function mostRepeated(design: Design): string | null {
  let most: { readonly id: string; readonly copies: number } | null = null;
  for (const { id, visible, rules } of resolveDesign(design).parts) {
    const copies = rules.reduce((product, { prepared }) => product * prepared.copies, 1);
    if (visible && copies >= (most?.copies ?? 0)) most = { id, copies };
  }
  return most?.id ?? design.parts.at(-1)?.id ?? null;
}
