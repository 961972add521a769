import type { Design } from "@twin-petal/core";

/** An id that neither part nor group has yet: the base itself, or with the first free number behind it. */
export function freshId(design: Design, base: string): string {
  const taken = new Set([...design.parts, ...design.groups].map(({ id }) => id));
  const stem = base.replace(/-\d+$/, "").slice(0, 34);
  for (let number = 1; ; number++) {
    const id = number === 1 ? stem : `${stem}-${number}`;
    if (!taken.has(id)) return id;
  }
}

/** A name no part has yet: the name itself, or with the first free number behind it. */
export function freshName(design: Design, name: string): string {
  const taken = new Set(design.parts.map((part) => part.name));
  for (let number = 1; ; number++) {
    const own = number === 1 ? name : `${name} ${number}`;
    if (!taken.has(own)) return own;
  }
}
