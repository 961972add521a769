import { polar, type Point } from "@twin-petal/core";

const NUMBER = String.raw`[-+]?\d*\.?\d+`;
const PLACE = new RegExp(String.raw`^(${NUMBER})(?:\s+|\s*[,;]\s*)(${NUMBER})$`);
const AWAY = new RegExp(String.raw`^(${NUMBER})\s*(?:at|@)\s*(${NUMBER})°?$`);

/**
 * A place typed as it is told beside the pointer: "12, -30" on the sheet, or "15 at 40" so far on from the last place, at an
 * angle of 0° up and clockwise. Lengths are in the sheet's unit of so many millimetres; null where it is neither.
 */
export function typedPlace(text: string, last: Point | null, unit: number): Point | null {
  const place = PLACE.exec(text.trim());
  if (place) return { x: Number(place[1]) * unit, y: Number(place[2]) * unit };
  const away = AWAY.exec(text.trim());
  return away ? polar(Number(away[1]) * unit, Number(away[2]), last ?? { x: 0, y: 0 }) : null;
}

/** Whether a key begins a typed place. */
export const beginsPlace = (key: string): boolean => /^[-\d.]$/.test(key);
