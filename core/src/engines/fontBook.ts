// eslint-disable-next-line @typescript-eslint/triple-slash-reference -- the other workspaces compile this file and find the types only so
/// <reference path="./fontkit.d.ts" />
import type { Font } from "fontkit";

const fonts = new Map<string, Font>();
const loading = new Map<string, Promise<void>>();

/** Makes a font ready under its id; the host gives the bytes of a static WOFF. Safe to call again. */
export function loadFont(id: string, read: () => Promise<Uint8Array>): Promise<void> {
  const known = loading.get(id);
  if (known) return known;
  const started = read().then(async (bytes) => void fonts.set(id, await openFont(bytes)));
  loading.set(id, started);
  return started;
}

async function openFont(bytes: Uint8Array): Promise<Font> {
  // Loaded only when there is lettering: it is large, and slow to begin.
  const { create } = await import("fontkit");
  const opened = create(bytes);
  if ("fonts" in opened) throw new Error("a collection of fonts cannot be used; give one font");
  return opened;
}

/** A font that was loaded. Throws when the host has not loaded it. */
export function fontOf(id: string): Font {
  const font = fonts.get(id);
  if (!font) throw new Error(`lettering in ${id} is drawn only after loadFont`);
  return font;
}
