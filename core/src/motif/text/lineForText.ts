import { given } from "../../fields/given";
import type { FieldTable } from "../../fields/field";
import { keyed } from "../../fields/keyed";
import { following, number } from "../../fields/number";
import { partName } from "../../fields/partName";
import type { Limits } from "../../fields/limits";
import type { Resolver } from "../../fields/resolver";
import { isRecord } from "../../fields/stored";
import { toggle } from "../../fields/toggle";
import type { NumberValue } from "../../formula/numbers";

/** What lettering stands on, as the file holds it: a circle about the origin, or another part's outline. */
export type TextLineValue =
  | {
      readonly radius: NumberValue;
      /** Where it begins, degrees. */
      readonly start?: NumberValue;
      /** Where it ends; letters are spread to reach it. */
      readonly end?: NumberValue;
      readonly inside?: boolean;
      /** How far letters stand off the line. */
      readonly off?: NumberValue;
    }
  | {
      readonly part: string;
      /** Shares of the line's length, 0…1. */
      readonly start?: NumberValue;
      readonly end?: NumberValue;
      readonly inside?: boolean;
      /** How far letters stand off the line. */
      readonly off?: NumberValue;
    };

/** What lettering stands on, with its numbers known; null for a straight row. */
export type TextLine =
  | {
      readonly kind: "circle";
      readonly radius: number;
      /** Degrees, 0° up, clockwise. */
      readonly start: number;
      /** Where the letters are spread to; null leaves them as they are. */
      readonly end: number | null;
      readonly inside: boolean;
      /** How far letters stand off the line, millimetres. */
      readonly off: number;
    }
  | {
      readonly kind: "part";
      readonly part: string;
      /** Shares of the line's length. */
      readonly start: number;
      readonly end: number | null;
      readonly inside: boolean;
      /** How far letters stand off the line, millimetres. */
      readonly off: number;
    };

const RADIUS = number("length", 0, { min: 0.01 });
const ANGLE = number("angle", 0);
const SHARE = number("share", 0);
const OFF = number("length", 0, { step: 0.5 });

/** What the numbers of a line for text may be. */
export const TEXT_LINE_LIMITS = { radius: RADIUS, angle: ANGLE, share: SHARE, off: OFF };

const ON_PART: FieldTable = {
  part: given(partName("")),
  start: SHARE,
  end: following("share"),
  inside: toggle(false),
  off: OFF,
};
const ON_CIRCLE: FieldTable = {
  radius: given(RADIUS),
  start: ANGLE,
  end: following("angle"),
  inside: toggle(false),
  off: OFF,
};

/** What the file may hold of what lettering stands on. */
export const TEXT_LINE = keyed(
  { part: ON_PART, radius: ON_CIRCLE },
  "must have the radius of a circle, or the id of a part",
);

/** Whether a stored value says what lettering stands on. */
export function isTextLine(stored: unknown): stored is TextLineValue {
  return isRecord(stored) && ("radius" in stored || "part" in stored);
}

/** What lettering stands on, with its numbers computed. */
export function resolveTextLine(stored: TextLineValue, resolver: Resolver, path: string): TextLine {
  const inside = stored.inside ?? false;
  const number = (value: TextLineValue["start"], limits: Limits, name: string) =>
    resolver.number(value ?? 0, limits, `${path}.${name}`);
  const limits = "part" in stored ? SHARE : ANGLE;
  const start = number(stored.start, limits, "start");
  const end = stored.end === undefined ? null : number(stored.end, limits, "end");
  const off = number(stored.off, OFF, "off");
  if ("part" in stored) return { kind: "part", part: stored.part, start, end, inside, off };
  return { kind: "circle", radius: number(stored.radius, RADIUS, "radius"), start, end, inside, off };
}
