import { labelEffect } from "./definition";
import { ShadePanel } from "./shadePanel";

export const innerShadowLabels = labelEffect({
  kind: "innerShadow",
  name: "inner shadow",
  add: "an inner shadow",
  Panel: (props) => <ShadePanel {...props} kind="innerShadow" name="inner shadow" opening="An inner shadow" />,
});
