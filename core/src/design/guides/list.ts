import { byKind, fieldsByKind, type FieldsByKind } from "../../fields/byKind";
import type { FieldInfo, FieldOf } from "../../fields/field";
import { keyed, type StoredKeyed } from "../../fields/keyed";
import type { GuideDefinition, GuideShape } from "./definition";
import { dimension } from "./dimension";
import { level } from "./level";
import { polygon } from "./polygon";
import { slanted } from "./slanted";
import { star } from "./star";
import { upright } from "./upright";

/** Every kind of guide, in the order they are offered. */
export const GUIDES = [upright, level, slanted, star, polygon, dimension] as const;

/** The same by the field that tells them apart. */
export const GUIDE = byKind(GUIDES);

type Tables = FieldsByKind<typeof GUIDES>;

/** A line or figure to draw by; seen on the desk, never made. */
export type Guide = StoredKeyed<Tables>;
/** What tells a kind of guide from the others: a field it has. */
export type GuideKind = (typeof GUIDES)[number]["kind"];

/** The definition of a guide by the field it has; undefined for what is none. */
function guideOf(guide: object): GuideDefinition | undefined {
  return GUIDES.find(({ kind }) => kind in guide);
}

const guides = keyed(fieldsByKind(GUIDES), `must have one of ${GUIDES.map(({ kind }) => kind).join(", ")}`);

/** A guide of any kind; computed with as a line or a figure. */
export const guide: FieldInfo & FieldOf<GuideShape, Guide> = {
  ...guides,
  resolve(stored, resolver, path) {
    const values = guides.resolve(stored, resolver, path);
    const definition = guideOf(values);
    if (!definition) throw new Error("a guide of no kind was let in");
    return definition.shape(values);
  },
};
