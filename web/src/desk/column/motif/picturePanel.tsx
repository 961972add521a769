import type { SvgSourceValue } from "@twin-petal/core";
import { Sentence } from "@/ui/sentence";
import { FieldChoice } from "../../fields/fieldChoice";
import { FieldNumber } from "../../fields/fieldNumber";
import { useFields } from "../../fields/fieldsContext";

/** An imported picture in words. */
export function PicturePanel() {
  const { stored } = useFields();
  const source: unknown = stored.source;
  if (!isSource(source)) return null;
  const { width, height, shapes } = source;
  const size = (side: "width" | "height"): number => {
    const other = side === "width" ? stored.height : stored.width;
    const [mine, theirs] = side === "width" ? [width, height] : [height, width];
    return Number((typeof other === "number" ? (other * mine) / theirs : mine).toFixed(4));
  };
  return (
    <Sentence>
      of {shapes.length} {shapes.length === 1 ? "shape" : "shapes"},{" "}
      <FieldNumber of="width" following={size("width")} /> wide and{" "}
      <FieldNumber of="height" following={size("height")} /> high, painted{" "}
      <FieldChoice of="colors" words={{ own: "in its own colours", finish: "by the finish" }} />.
    </Sentence>
  );
}

function isSource(stored: unknown): stored is SvgSourceValue {
  return typeof stored === "object" && stored !== null && "shapes" in stored;
}
