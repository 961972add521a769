import { apply, type Matrix, type PlacedDimension } from "@twin-petal/core";
import { useDesk } from "@/store/deskStore";
import { surfaceOf, SurfaceProvider } from "../surface";
import { DimensionMark } from "./dimensionMark";
import { MeasureLayer } from "./measureLayer";
import { useMeasureWords } from "./useMeasureWords";

interface MeasuresProps {
  readonly dimensions: readonly PlacedDimension[];
  readonly sheetToScreen: Matrix;
}

/** The measures that were left lying, and the tool that lays them. */
export function Measures({ dimensions, sheetToScreen }: MeasuresProps) {
  const isMeasuring = useDesk((state) => state.hand.tool === "measure");
  const { between } = useMeasureWords();
  const surface = surfaceOf(sheetToScreen);
  return (
    <>
      {dimensions.map(({ guide, from, to }) => (
        <DimensionMark
          key={guide}
          from={apply(sheetToScreen, from)}
          to={apply(sheetToScreen, to)}
          words={between(from, to)[0]}
        />
      ))}
      {isMeasuring && surface && (
        <SurfaceProvider surface={surface}>
          <MeasureLayer />
        </SurfaceProvider>
      )}
    </>
  );
}
