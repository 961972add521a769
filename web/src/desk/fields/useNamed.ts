import { useMemo } from "react";
import { groupsAround, type Design } from "@twin-petal/core";
import { useDesk } from "@/store/deskStore";

/** Something that can be named in a sentence. */
export interface Named {
  readonly id: string;
  readonly name: string;
}

/** What a part can follow: the other parts, and the groups it is not in itself. */
export function useNamed(part: string): readonly Named[] {
  const parts = useDesk((state) => state.history.design.parts);
  const groups = useDesk((state) => state.history.design.groups);
  return useMemo(() => namedBeside({ parts, groups }, part), [parts, groups, part]);
}

function namedBeside(design: Pick<Design, "parts" | "groups">, id: string): Named[] {
  const around = groupsAround(design, design.parts.find((part) => part.id === id)?.group ?? "");
  return [
    ...design.parts.filter((part) => part.id !== id),
    ...design.groups
      .filter((group) => !around.includes(group))
      .map((group) => ({ id: group.id, name: `${group.name}, the group` })),
  ];
}
