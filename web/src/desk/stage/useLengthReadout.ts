import { MILLIMETRES_PER } from "@twin-petal/core";
import { useDesign } from "@/store/deskStore";
import { usePicture } from "./pictureContext";

/** How lengths are told and rounded on the sheet: in its unit, to about what one pixel shows. */
export function useLengthReadout() {
  const { unit } = useDesign().sheet;
  const { view } = usePicture("view");
  const millimetres = MILLIMETRES_PER[unit];
  const pixel = 1 / ((view?.scale ?? 1) * millimetres);
  const grain = 10 ** Math.max(-4, Math.floor(Math.log10(pixel)));
  const round = (inUnit: number) => Number((Math.round(inUnit / grain) * grain).toFixed(4));
  return {
    words: (length: number) => `${Number((length / millimetres).toFixed(3))} ${unit}`,
    /** Millimetres, rounded in the sheet's unit. */
    rounded: (length: number) => Number((round(length / millimetres) * millimetres).toFixed(6)),
    /** One of the sheet's unit in millimetres. */
    nudge: millimetres,
  };
}
