import { boolean, lazy, string } from "yup";
import type { FieldValue } from "../../design/field";
import type { Limits } from "../../design/limits";
import type { Resolver } from "../../design/resolver";
import { exactly, isRecord, numberValue } from "../../design/schemaPieces";
import type { TextLineValue } from "../../design/structures";

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
    }
  | {
      readonly kind: "part";
      readonly part: string;
      /** Shares of the line's length. */
      readonly start: number;
      readonly end: number | null;
      readonly inside: boolean;
    };

const RADIUS: Limits = { min: 0.01, max: 10_000, whole: false };
const ANGLE: Limits = { min: -3_600, max: 3_600, whole: false };
const SHARE: Limits = { min: 0, max: 1, whole: false };

export const TEXT_LINE_LIMITS = { radius: RADIUS, angle: ANGLE, share: SHARE };

export function isTextLine(stored: FieldValue): stored is TextLineValue {
  return typeof stored === "object" && ("radius" in stored || "part" in stored);
}

export function textLineSchema() {
  return lazy((value: unknown) => {
    const isPart = isRecord(value) && "part" in value;
    const along = isPart ? SHARE : ANGLE;
    const shared = { start: numberValue(along), end: numberValue(along), inside: boolean() };
    return exactly(
      isPart ? { part: string().required(), ...shared } : { radius: numberValue(RADIUS).required(), ...shared },
    )
      .default(undefined)
      .optional();
  });
}

export function resolveTextLine(stored: TextLineValue, resolver: Resolver, path: string): TextLine {
  const inside = stored.inside ?? false;
  const number = (value: TextLineValue["start"], limits: Limits, name: string) =>
    resolver.number(value ?? 0, limits, `${path}.${name}`);
  const limits = "part" in stored ? SHARE : ANGLE;
  const start = number(stored.start, limits, "start");
  const end = stored.end === undefined ? null : number(stored.end, limits, "end");
  if ("part" in stored) return { kind: "part", part: stored.part, start, end, inside };
  return { kind: "circle", radius: number(stored.radius, RADIUS, "radius"), start, end, inside };
}
