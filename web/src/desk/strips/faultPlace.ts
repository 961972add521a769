import type { Design } from "@twin-petal/core";
import { kindName } from "../column/motif/motifKinds";

/** Where in a design something is wrong, for people. */
interface FaultPlace {
  /** The part it is in; null where it is in none. */
  readonly part: string | null;
  /** As in: “Seeds”, spiral: inner. */
  readonly words: string;
}

/** The place a problem's path names. */
export function faultPlace({ parts }: Design, path: string): FaultPlace {
  const [, index, rest = ""] = /^parts\[(\d+)\]\.?(.*)$/.exec(path) ?? [];
  const part = index === undefined ? undefined : parts[Number(index)];
  if (!part) return { part: null, words: path };
  const [, rule, inRule = ""] = /^rules\[(\d+)\]\.?(.*)$/.exec(rest) ?? [];
  const [isMotif, inMotif = ""] = /^motif\.?(.*)$/.exec(rest) ?? [];
  const kind = rule === undefined ? isMotif && kindName(part.motif.kind) : part.rules[Number(rule)]?.kind;
  const field = kind ? inRule || inMotif : rest;
  const thing = [`“${part.name}”`, ...(kind ? [kind] : [])].join(", ");
  return { part: part.id, words: `${thing}: ${field}` };
}
