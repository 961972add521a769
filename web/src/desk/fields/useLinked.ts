import type { FieldValue, LinkReport, LinkRole } from "@twin-petal/core";
import { LINK_ROLES } from "@twin-petal/core";
import { useEditing } from "@/store/deskStore";
import { ownerKey } from "@/store/edits/owners";
import { setFields } from "@/store/edits/rules";
import { useFields } from "./fieldsContext";
import { useLinks } from "./useLinks";

/** A field that is one of three linked numbers. */
interface Linked {
  /** What it comes to. */
  readonly value: number;
  /** Whether it follows from the other two at present. */
  readonly follows: boolean;
  /** Holds it by hand from now on; where it follows, another of the three does so instead. */
  hold: (value: FieldValue | undefined, change: string, gesture?: string) => void;
}

/**
 * Which of the other two follows when one that followed is held: along a line the line stays filled, about a centre the
 * angle stays what it is and the copies fall short of a circle.
 */
const RELEASED: Readonly<Record<"length" | "angle", Readonly<Record<LinkRole, LinkRole>>>> = {
  length: { count: "spacing", spacing: "count", span: "spacing" },
  angle: { count: "span", spacing: "span", span: "spacing" },
};

/** How a field hangs together with others; null where it stands alone. */
export function useLinked(
  field: string,
  store: (value: FieldValue | undefined) => FieldValue | undefined,
): Linked | null {
  const { part, owner } = useFields();
  const { edit } = useEditing();
  const found = roleIn(useLinks(), field);
  if (!found) return null;
  const { link, role } = found;
  const released = RELEASED[link.quantity === "length" ? "length" : "angle"][role];
  const [outer = field] = field.split(".");
  return {
    value: link[role],
    follows: link.follows === role,
    hold(value, change, gesture) {
      const key = gesture && `${part}/${ownerKey(owner)}/${field}/${gesture}`;
      edit(setFields(part, owner, { ...link.letFollow[released], [outer]: store(value) }, change, key));
    },
  };
}

function roleIn(links: readonly LinkReport[], field: string): { link: LinkReport; role: LinkRole } | null {
  for (const link of links) {
    const role = LINK_ROLES.find((known) => link.fields[known] === field);
    if (role) return { link, role };
  }
  return null;
}
