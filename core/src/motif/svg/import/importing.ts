import type { LeftOut } from "./leftOut";
import type { Stylesheet } from "./stylesheet";
import type { XmlElement } from "./xmlTree";

/** All that stays the same while a file is walked through. */
export interface Importing {
  /** Elements that others refer to. */
  readonly ids: ReadonlyMap<string, XmlElement>;
  /** The file's own style sheets. */
  readonly sheet: Stylesheet;
  /** What could not be taken over. */
  readonly leftOut: LeftOut;
}
