import type { FormLabel } from "./definition";
import { dome } from "./dome";
import { prism } from "./prism";
import { revolve } from "./revolve";

/** How every form is told, in the order they are offered. */
export const FORM_LABELS: readonly FormLabel[] = [prism, dome, revolve];
