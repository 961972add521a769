import { labelEffect } from "./definition";
import { ShadePanel } from "./shadePanel";

export const shadowLabels = labelEffect({
  kind: "shadow",
  name: "shadow",
  add: "a shadow",
  Panel: (props) => <ShadePanel {...props} kind="shadow" name="shadow" opening="A shadow" />,
});
