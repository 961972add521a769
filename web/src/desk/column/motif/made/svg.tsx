import { PicturePanel } from "../picturePanel";
import type { MadeMotif } from "./definition";

export const svgMotif: MadeMotif = {
  kind: "svg",
  name: "picture",
  promise: "an SVG from another program",
  mark: <path d="M5 5H27V27H5ZM5 21 12 14 18 20 22 16 27 21" />,
  Panel: PicturePanel,
  begin: ({ chooseFile }) => chooseFile(),
};
