const HEX = /^#(?:[0-9a-fA-F]{6}|[0-9a-fA-F]{8})$/;
const PALETTE_PREFIX = "palette:";

/** Whether a text is `#RRGGBB` or `#RRGGBBAA`. */
export function isHexColor(text: string): boolean {
  return HEX.test(text);
}

/** The palette name a colour refers to, or null for a colour of its own. */
export function paletteNameOf(color: string): string | null {
  return color.startsWith(PALETTE_PREFIX) ? color.slice(PALETTE_PREFIX.length) : null;
}

/** How a colour of the palette is referred to. */
export function paletteReference(name: string): string {
  return PALETTE_PREFIX + name;
}

/** Why a text is no colour of this design, or null when it is one. */
export function colorTrouble(color: string, paletteNames: ReadonlySet<string>): string | null {
  const name = paletteNameOf(color);
  if (name === null) return isHexColor(color) ? null : "must be #RRGGBB, #RRGGBBAA or palette:name";
  return paletteNames.has(name) ? null : `there is no colour called “${name}” in the palette`;
}
