import { multiply, type Matrix } from "@twin-petal/core";
import { useDesk } from "@/store/deskStore";
import { DrawLayer } from "./draw/drawLayer";
import { FreehandLayer } from "./draw/freehandLayer";
import { NodeLayer } from "./nodes/nodeLayer";
import { usePicture } from "./pictureContext";
import { surfaceOf, SurfaceProvider } from "./surface";

/** The tool in hand, working on the motif through a map from the sheet's space (or the motif's) to the screen. */
export function MotifTools({ sheetToScreen }: { sheetToScreen: Matrix }) {
  const tool = useDesk((state) => state.hand.tool);
  const chosenId = useDesk((state) => state.chosen);
  const { report } = usePicture();
  if (tool === "look") return null;
  const chosen = report?.chosen?.id === chosenId ? report.chosen : null;
  const surface = surfaceOf(chosen ? multiply(sheetToScreen, chosen.working) : sheetToScreen);
  if (!surface) return null;
  return (
    <SurfaceProvider surface={surface}>
      {tool === "nodes" && <NodeLayer />}
      {tool === "draw" && <DrawLayer />}
      {tool === "freehand" && <FreehandLayer />}
    </SurfaceProvider>
  );
}
