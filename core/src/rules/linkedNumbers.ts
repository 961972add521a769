import type { Quantity } from "../fields/field";
import type { FieldChanges } from "../fields/stored";

/** Count, spacing and span hang together: two are held, and the third follows. */
export const LINK_ROLES = ["count", "spacing", "span"] as const;
/** One of the three numbers that hang together. */
export type LinkRole = (typeof LINK_ROLES)[number];

/** Three numbers that hang together, and which of them follows. */
export interface LinkedNumbers {
  /** How many copies. */
  readonly count: number;
  /** From copy to copy: degrees or millimetres. */
  readonly spacing: number;
  /** From the first to where the next after the last would be. */
  readonly span: number;
  /** Which of the three is worked out of the others. */
  readonly follows: LinkRole;
}

/** Three numbers of a rule that hang together, each as its field has it, and how to let another of them follow. */
export interface LinkReport extends LinkedNumbers {
  /** What they are about: "around", "columns", "rows", "along", "border". */
  readonly about: string;
  /** Whether spacing and span are lengths or angles. */
  readonly quantity: Quantity;
  /** Which field of the rule holds each of the three. */
  readonly fields: Readonly<Record<LinkRole, string>>;
  /** What to store so that one of the three follows and the others keep their present values. */
  readonly letFollow: Readonly<Record<LinkRole, FieldChanges>>;
  /** What is missing to a full circle, or to the whole line; negative when over, null where nothing closes. */
  readonly short: number | null;
  /** What to store so that it closes. */
  readonly close: FieldChanges | null;
}

interface Asked {
  readonly count: number;
  /** Held where it is given. */
  readonly spacing: number | undefined;
  readonly span: number | undefined;
  /** What holds where neither is given. */
  readonly usual: { readonly span: number } | { readonly spacing: number };
  /** Spacings in the span for a count: the count itself round a circle, one less from end to end. */
  gaps: (count: number, span: number | null) => number;
  /** The most copies that fit in so many spacings. */
  countFor: (gaps: number, span: number) => number;
}

/** Slack in counting how often a spacing fits, so that 360/51.428571 is 7. */
const SLACK = 1e-4;

/** Works the third number out: where both spacing and span are held the count follows, else the one not given. */
export function linkNumbers({ count, spacing, span, usual, gaps, countFor }: Asked): LinkedNumbers {
  if (spacing !== undefined && span !== undefined) {
    const fitting = spacing === 0 ? 1 : Math.floor(Math.abs(span / spacing) + SLACK);
    return { count: Math.max(1, countFor(fitting, span)), spacing, span, follows: "count" };
  }
  if (spacing === undefined && (span !== undefined || "span" in usual)) {
    const held = span ?? ("span" in usual ? usual.span : 0);
    const between = gaps(count, held);
    return { count, spacing: between === 0 ? 0 : held / between, span: held, follows: "spacing" };
  }
  const held = spacing ?? ("spacing" in usual ? usual.spacing : 0);
  return { count, spacing: held, span: held * gaps(count, null), follows: "span" };
}

/** A number kept in the file as a person would write it. */
export function tidy(value: number): number {
  return Number(value.toFixed(6));
}

/** What is missing, and nothing where only rounding is. */
export function shortBy(short: number): number {
  return Math.abs(short) < 1e-6 ? 0 : short;
}
