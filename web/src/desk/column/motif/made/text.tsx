import { TextPanel } from "../textPanel";
import { beginWith } from "./begin";
import type { MadeMotif } from "./definition";

export const textMotif: MadeMotif = {
  kind: "text",
  name: "lettering",
  promise: "words, straight or around",
  mark: <path d="M6 26 14 6 22 26M9 19H19M25 26V14" />,
  Panel: TextPanel,
  begin: (beginning) => beginWith(beginning, { kind: "text", text: "Brinewick" }, "lettering"),
};
