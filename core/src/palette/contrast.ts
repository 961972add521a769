import { wcagContrast } from "culori";

/** How much a colour stands out from another, 1 to 21 (WCAG 2, relative luminance); opacity aside. */
export function contrastBetween(a: string, b: string): number {
  return wcagContrast(a.slice(0, 7), b.slice(0, 7));
}

/** What a contrast is enough for. */
export function contrastWords(contrast: number): string {
  if (contrast >= 7) return "clear even for small lettering";
  if (contrast >= 4.5) return "enough for lettering";
  return contrast >= 3 ? "enough for shapes and large lettering" : "hard to tell apart";
}
