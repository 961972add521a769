import { dome } from "./dome";
import { prism } from "./prism";
import { revolve } from "./revolve";

/** Every way in which an area is given height, in the order they are offered. */
export const FORMS = [prism, revolve, dome] as const;

/** The name of a form. */
export type FormKind = (typeof FORMS)[number]["kind"];
