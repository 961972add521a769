import { multiply, type Matrix } from "@twin-petal/core";
import { useDesk } from "@/store/deskStore";
import { DrawLayer } from "./draw/drawLayer";
import { FreehandLayer } from "./draw/freehandLayer";
import { NodeLayer } from "./nodes/nodeLayer";
import { surfaceOf, SurfaceProvider } from "./surface";
import { useWorkedOn } from "./useWorkedOn";

/** The tool in hand, working on the motif through a map from the sheet's space (or the motif's) to the screen. */
export function MotifTools({ sheetToScreen }: { sheetToScreen: Matrix }) {
  const tool = useDesk((state) => state.hand.tool);
  const chosen = useWorkedOn();
  if (tool === "look" || tool === "measure") return null;
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
