import type { PartScene } from "@twin-petal/core";

/** How the ornament is shown: how many copies of each part, and whether as painted or as bare lines. */
export interface Look {
  readonly lines: boolean;
  /** The most copies of a part that are painted, from its first on. */
  most: (part: PartScene) => number;
}

export const WHOLE: Look = { lines: false, most: () => Infinity };

interface Asked {
  readonly held: "source" | "lines" | null;
  readonly chosen: string | null;
  readonly built: number | null;
}

export function lookOf({ held, chosen, built }: Asked): Look {
  return {
    lines: held === "lines",
    most: ({ id }) => (held === "source" ? 1 : built !== null && id === chosen ? built : Infinity),
  };
}
