import { WalkPanel } from "../walkPanel";
import { beginWith } from "./begin";
import type { MadeMotif } from "./definition";

export const walkMotif: MadeMotif = {
  kind: "walk",
  name: "walk",
  promise: "go, turn, and do it again",
  mark: <path d="M4 28V20H12V12H20V4H28" />,
  Panel: WalkPanel,
  begin: (beginning) =>
    beginWith(beginning, { kind: "walk", steps: [{ times: 4, steps: [{ go: 20 }, { turn: 90 }] }] }, "walk"),
};
