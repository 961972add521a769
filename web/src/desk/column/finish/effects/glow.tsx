import { labelEffect } from "./definition";
import { ShadePanel } from "./shadePanel";

export const glowLabels = labelEffect({
  kind: "glow",
  name: "glow",
  add: "a glow",
  Panel: (props) => <ShadePanel {...props} kind="glow" name="glow" opening="A glow" />,
});
